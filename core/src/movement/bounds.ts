import type { z } from 'zod';

interface Definition {
  type: string;
  checks?: readonly { _zod: { def: { check: string } } }[];
  element?: z.core.$ZodType;
  innerType?: z.core.$ZodType;
  in?: z.core.$ZodType;
  out?: z.core.$ZodType;
  options?: readonly z.core.$ZodType[];
  items?: readonly z.core.$ZodType[];
  shape?: Record<string, z.core.$ZodType>;
  catchall?: z.core.$ZodType;
  keyType?: z.core.$ZodType;
  valueType?: z.core.$ZodType;
  left?: z.core.$ZodType;
  right?: z.core.$ZodType;
  getter?: () => z.core.$ZodType;
}

/** What a string of these formats can hold is bounded by the format. */
const SHORT_FORMATS = new Set(['uuid', 'guid', 'date']);

/**
 * Paths of every array and string of a schema that has no upper bound: whoever sends those decides how
 * much is read, checked and kept. Records count as bounded where something checks them.
 */
export function findUnbounded(schema: z.core.$ZodType): string[] {
  const found: string[] = [];
  const seen = new Set<z.core.$ZodType>();
  const walk = (node: z.core.$ZodType | undefined, path: string): void => {
    if (!node || seen.has(node)) return;
    seen.add(node);
    const def = node._zod.def as unknown as Definition & { format?: string };
    const checks = (def.checks ?? []).map((check) => check._zod.def.check);
    if (def.type === 'string') {
      const isShort = def.format !== undefined && SHORT_FORMATS.has(def.format);
      if (!isShort && !checks.includes('max_length')) found.push(`${path}: text`);
    }
    if (def.type === 'array' && !checks.includes('max_length')) found.push(`${path}: list`);
    if (def.type === 'record' && !isOfNames(def.keyType) && !checks.includes('custom')) {
      found.push(`${path}: record`);
    }
    walk(def.element, `${path}[]`);
    for (const part of [def.innerType, def.in, def.out, def.left, def.right, def.catchall]) {
      walk(part, path);
    }
    for (const part of [...(def.options ?? []), ...(def.items ?? [])]) walk(part, path);
    for (const [name, part] of Object.entries(def.shape ?? {})) walk(part, `${path}.${name}`);
    walk(def.keyType, `${path}{}`);
    walk(def.valueType, `${path}{}`);
    if (def.getter) walk(def.getter(), path);
  };
  walk(schema, '');
  return found;
}

/** A record whose keys are listed one by one holds no more than those. */
function isOfNames(keys: z.core.$ZodType | undefined): boolean {
  const type = keys?._zod.def.type;
  return type === 'enum' || type === 'literal' || type === 'union';
}
