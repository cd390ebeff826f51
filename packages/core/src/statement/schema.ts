import { toMillimetres } from '../measure/length.js';
import { AMOUNTS } from './amounts.js';
import { NAME_LENGTH } from './check.js';
import type { Statement } from './statement.js';

type Schema = Record<string, unknown>;

function schemaOf(shape: Statement): Schema {
  switch (shape.kind) {
    case 'const':
      return { const: shape.value };
    case 'oneOf':
      return { enum: [...shape.values] };
    case 'text':
      return {
        type: 'string',
        minLength: shape.empty ? 0 : 1,
        maxLength: shape.most ?? NAME_LENGTH,
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
    case 'amount': {
      const text = { type: 'string', minLength: 1, maxLength: 60 };
      const { wanted, bare } = AMOUNTS[shape.of];
      return { description: wanted, ...(bare ? { anyOf: [{ type: 'number' }, text] } : text) };
    }
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
    case 'named':
      return { type: 'object', additionalProperties: schemaOf(shape.of), maxProperties: shape.most };
    case 'byKey':
    case 'byTag':
      return { oneOf: Object.values(shape.cases).map(schemaOf) };
    case 'either':
      return { description: shape.says, anyOf: shape.shapes.map(schemaOf) };
  }
}

/** JSON Schema of a document, from the same statement that its check walks. */
export const documentSchema = (title: string, statement: Statement): Schema => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title,
  ...schemaOf(statement),
});
