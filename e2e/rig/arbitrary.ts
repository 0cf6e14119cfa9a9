import fc from 'fast-check';
import { z } from 'zod';

/** The part of JSON Schema that `z.toJSONSchema` writes. */
interface Schema {
  type?: string;
  const?: unknown;
  enum?: unknown[];
  anyOf?: Schema[];
  oneOf?: Schema[];
  allOf?: Schema[];
  $ref?: string;
  $defs?: Record<string, Schema>;
  format?: string;
  pattern?: string;
  minLength?: number;
  maxLength?: number;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
  items?: Schema | boolean;
  prefixItems?: Schema[];
  minItems?: number;
  maxItems?: number;
  properties?: Record<string, Schema>;
  required?: string[];
  additionalProperties?: Schema | boolean;
  propertyNames?: Schema;
}

/** Values that get further than chance would: ids that exist, slugs that are known. */
export interface Hints {
  ids: readonly string[];
  slugs: readonly string[];
}

/** Longer lists and texts than these say nothing new, and are slow to make. */
const LONGEST_TEXT = 60;
const LONGEST_LIST = 4;
const DEEPEST = 8;

/** Whatever a schema takes, as far as JSON Schema can say it; checks of our own may still refuse it. */
export function arbitraryOf(schema: z.ZodType, hints: Hints): fc.Arbitrary<unknown> {
  const root = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as Schema;
  return valueOf(root, { root, hints, depth: 0, name: '' });
}

interface Around {
  root: Schema;
  hints: Hints;
  depth: number;
  /** The property that is made. */
  name: string;
}

function valueOf(schema: Schema, around: Around): fc.Arbitrary<unknown> {
  const inside = { ...around, depth: around.depth + 1 };
  if (around.depth > DEEPEST) return fc.constant(null);
  if (schema.$ref) return valueOf(referred(schema.$ref, around.root), inside);
  if ('const' in schema) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  const either = schema.anyOf ?? schema.oneOf;
  if (either) return fc.oneof(...either.map((each) => valueOf(each, inside)));
  if (schema.allOf) return valueOf(Object.assign({}, ...schema.allOf) as Schema, inside);
  switch (schema.type) {
    case 'string':
      return textOf(schema, around);
    case 'integer':
    case 'number':
      return numberOf(schema, around.name);
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    case 'array':
      return listOf(schema, inside);
    case 'object':
      return objectOf(schema, inside);
    default:
      return fc.jsonValue({ maxDepth: 2 });
  }
}

function referred(ref: string, root: Schema): Schema {
  const found = ref === '#' ? root : root.$defs?.[ref.replace('#/$defs/', '')];
  if (!found) throw new Error(`the schema refers to ${ref}, which is nowhere`);
  return found;
}

function textOf(schema: Schema, { hints, name }: Around): fc.Arbitrary<string> {
  if (name === 'exercise' || name === 'slug') return fc.constantFrom(...hints.slugs);
  // The schema trims and reads these before it looks, so JSON Schema can't say what they are.
  if (name === 'email') return fc.emailAddress();
  if (name === 'timeZone') return fc.constantFrom('UTC', 'Europe/Lisbon', 'Nowhere/Land');
  const instants = fc.date({ min: new Date('2000-01-01'), max: new Date('2099-12-31') });
  switch (schema.format) {
    case 'uuid':
      return fc.oneof(fc.constantFrom(...hints.ids), fc.uuid());
    case 'email':
      return fc.emailAddress();
    case 'date':
      return instants.filter(isDate).map((date) => date.toISOString().slice(0, 10));
    case 'date-time':
      return instants.filter(isDate).map((date) => date.toISOString());
    default:
  }
  const [minLength, maxLength] = [schema.minLength ?? 0, schema.maxLength ?? LONGEST_TEXT];
  if (schema.pattern) {
    return fc
      .stringMatching(new RegExp(schema.pattern, 'u'), { size: 'small' })
      .map((text) => text.slice(0, maxLength));
  }
  return fc.string({
    unit: 'grapheme',
    minLength,
    maxLength: Math.max(minLength, Math.min(maxLength, LONGEST_TEXT)),
  });
}

const isDate = (date: Date) => !Number.isNaN(date.getTime());

function numberOf(schema: Schema, name: string): fc.Arbitrary<number> {
  // Most revisions of something that a fuzzer has made are small.
  if (/^(revision|version|order|after)$/.test(name)) return fc.integer({ min: 0, max: 3 });
  const min = schema.minimum ?? schema.exclusiveMinimum ?? -1e6;
  const max = schema.maximum ?? schema.exclusiveMaximum ?? 1e6;
  return schema.type === 'integer'
    ? fc.integer({ min: Math.max(min, -(2 ** 31)), max: Math.min(max, 2 ** 31 - 1) })
    : fc.double({ min, max, noNaN: true });
}

function listOf(schema: Schema, inside: Around): fc.Arbitrary<unknown[]> {
  if (schema.prefixItems) {
    return fc.tuple(...schema.prefixItems.map((each) => valueOf(each, inside)));
  }
  const minLength = schema.minItems ?? 0;
  const item = typeof schema.items === 'object' ? valueOf(schema.items, inside) : fc.jsonValue();
  return fc.array(item, {
    minLength,
    maxLength: Math.max(minLength, Math.min(schema.maxItems ?? LONGEST_LIST, LONGEST_LIST)),
  });
}

function objectOf(schema: Schema, inside: Around): fc.Arbitrary<unknown> {
  const { properties = {}, required = [], additionalProperties, propertyNames } = schema;
  const named = fc.record(
    Object.fromEntries(
      Object.entries(properties).map(([name, each]) => [name, valueOf(each, { ...inside, name })]),
    ),
    { requiredKeys: required.filter((name) => name in properties) },
  );
  if (typeof additionalProperties !== 'object') return named;
  const key = propertyNames
    ? valueOf({ type: 'string', ...propertyNames }, { ...inside, name: 'key' }).map(String)
    : fc.string();
  const more = fc.dictionary(key, valueOf(additionalProperties, inside), { maxKeys: 3 });
  return fc.tuple(named, more).map(([one, other]) => ({ ...one, ...other }));
}
