import { toMillimetres } from '../measure/length.js';
import { JOB_FORM } from './form.js';
import { LIMITS } from './limits.js';
import type { Shape } from './shape.js';

type Schema = Record<string, unknown>;

function schemaOf(shape: Shape): Schema {
  switch (shape.kind) {
    case 'const':
      return { const: shape.value };
    case 'oneOf':
      return { enum: [...shape.values] };
    case 'text':
    case 'id':
      return {
        type: 'string',
        minLength: shape.kind === 'text' && shape.empty ? 0 : 1,
        maxLength: LIMITS.nameLength,
      };
    case 'number':
      return { type: shape.whole ? 'integer' : 'number', minimum: shape.least, maximum: shape.most };
    case 'length':
      return {
        description: 'millimetres, or text that carries its unit',
        anyOf: [
          {
            type: 'number',
            ...(shape.least === 'any'
              ? {}
              : shape.least === 'zero'
                ? { minimum: 0 }
                : { exclusiveMinimum: 0 }),
            ...(shape.most === undefined ? {} : { maximum: toMillimetres(shape.most) }),
          },
          { type: 'string', minLength: 1, maxLength: 60 },
        ],
      };
    case 'object': {
      const keys = Object.entries(shape.keys);
      return {
        type: 'object',
        additionalProperties: false,
        required: keys.filter(([, k]) => !k.optional).map(([name]) => name),
        properties: Object.fromEntries(
          keys.map(([name, k]) => [
            name,
            k.says ? { ...schemaOf(k.shape), description: k.says } : schemaOf(k.shape),
          ]),
        ),
      };
    }
    case 'list':
      return { type: 'array', items: schemaOf(shape.of), minItems: shape.least ?? 0, maxItems: shape.most };
    case 'byKey':
      return { oneOf: Object.values(shape.cases).map(schemaOf) };
    case 'either':
      return { description: shape.says, anyOf: shape.shapes.map(schemaOf) };
  }
}

/** JSON Schema of the job file, written from the same form that `check` walks. */
export const jobSchema = (): Schema => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Even Tally job file, version 1',
  ...schemaOf(JOB_FORM),
});

/** A job with its keys in the order of the form, so that two exports of one job are the same text. */
export function canonical<T>(value: T, shape: Shape = JOB_FORM): T {
  if (shape.kind === 'object' && typeof value === 'object' && value !== null) {
    const from = value as Record<string, unknown>;
    return Object.fromEntries(
      Object.entries(shape.keys)
        .filter(([key]) => Object.hasOwn(from, key))
        .map(([key, k]) => [key, canonical(from[key], k.shape)]),
    ) as T;
  }
  if (shape.kind === 'list' && Array.isArray(value))
    return (value as unknown[]).map((v) => canonical(v, shape.of)) as T;
  if (shape.kind === 'byKey' && typeof value === 'object' && value !== null) {
    const name = Object.keys(shape.cases).find((key) => Object.hasOwn(value, key));
    return canonical(value, shape.cases[name ?? '']);
  }
  if (shape.kind === 'either') {
    const inner = shape.shapes.find((s) => s.kind === 'object');
    return inner && typeof value === 'object' ? canonical(value, inner) : value;
  }
  return value;
}
