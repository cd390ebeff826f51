/** A value as a STEP file has it: text, numbers, `*`, `$` (null), enumerations, references, lists, and typed values. */
export type StepValue =
  | string
  | number
  | null
  | boolean
  | { ref: number }
  | { is: string }
  | { real: number }
  | { type: string; of: StepValue }
  | readonly StepValue[];

export const enumeration = (is: string): StepValue => ({ is });
/** A number that is written with its point, as measures are. */
export const real = (value: number): StepValue => ({ real: value });
export const typed = (type: string, of: StepValue): StepValue => ({ type, of });

/** Beyond plain letters a STEP file has UTF-16 in hexadecimal; an apostrophe is doubled. */
export function stepText(text: string): string {
  let out = '';
  let wide = '';
  const flush = (): void => {
    if (wide !== '') out += `\\X2\\${wide}\\X0\\`;
    wide = '';
  };
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code >= 32 && code < 127) {
      flush();
      const c = text.charAt(i);
      out += c === "'" ? "''" : c === '\\' ? '\\\\' : c;
    } else wide += code.toString(16).toUpperCase().padStart(4, '0');
  }
  flush();
  return `'${out}'`;
}

function realText(value: number): string {
  if (!Number.isFinite(value)) throw new RangeError(`a measure: wanted a number, got ${value}`);
  const text = String(Math.round(value * 1e6) / 1e6);
  if (text.includes('e')) return text.replace('e', '.E').toUpperCase();
  return text.includes('.') ? text : `${text}.`;
}

function valueText(value: StepValue): string {
  if (value === null) return '$';
  if (typeof value === 'string') return stepText(value);
  if (typeof value === 'number') return String(value);
  if (typeof value === 'boolean') return value ? '.T.' : '.F.';
  if ('ref' in value) return `#${value.ref}`;
  if ('is' in value) return value.is === '*' ? '*' : `.${value.is}.`;
  if ('real' in value) return realText(value.real);
  if ('type' in value) return `${value.type}(${valueText(value.of)})`;
  return `(${value.map(valueText).join(',')})`;
}

/** Entities as they are added; each is referred to by what `add` gives. */
export class Step {
  private readonly lines: string[] = [];

  add(type: string, ...values: StepValue[]): { ref: number } {
    const ref = this.lines.length + 1;
    this.lines.push(`#${ref}=${type}(${values.map(valueText).join(',')});`);
    return { ref };
  }

  file(name: string, now: string): string {
    return [
      'ISO-10303-21;',
      'HEADER;',
      "FILE_DESCRIPTION(('ViewDefinition [ReferenceView_V1.2]'),'2;1');",
      `FILE_NAME(${stepText(name)},${stepText(now)},(''),(''),'Even Tally','Even Tally','');`,
      "FILE_SCHEMA(('IFC4'));",
      'ENDSEC;',
      'DATA;',
      ...this.lines,
      'ENDSEC;',
      'END-ISO-10303-21;',
      '',
    ].join('\n');
  }
}
