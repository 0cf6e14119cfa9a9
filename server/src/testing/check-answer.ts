import type { z } from 'zod';

/** Throws where an answer is not what the contract says: a field too few, too many, or of another kind. */
export function checkAnswer(route: string, schema: z.ZodType, answer: unknown): void {
  const sent: unknown = JSON.parse(JSON.stringify(answer));
  const read = schema.safeParse(sent);
  if (!read.success)
    throw new Error(`${route} does not answer what it says: ${read.error.message}`);
  const extra = fieldsOf(sent).filter((field) => !fieldsOf(read.data).includes(field));
  if (extra.length > 0) throw new Error(`${route} answers more than it says: ${extra.join(', ')}`);
}

/** Every field with the path to it; places in a list are not told apart. */
function fieldsOf(value: unknown, path = ''): string[] {
  if (Array.isArray(value)) return value.flatMap((each) => fieldsOf(each, `${path}[]`));
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([key, field]) => fieldsOf(field, `${path}.${key}`));
}
