import { readFileSync } from 'node:fs';
import type { z } from 'zod';
import { Refusal } from './refusal.ts';

/** Reads a JSON document from a file, or from standard input for `-`, and checks it against a schema. */
export function readJson<S extends z.ZodType>(schema: S, path: string, what: string): z.infer<S> {
  const parsed = schema.safeParse(parse(readText(path), path));
  if (parsed.success) return parsed.data;
  const faults = parsed.error.issues.map((issue) => `  ${showPath(issue.path)}: ${issue.message}`);
  throw new Refusal(`${nameOf(path)} is not ${what}:\n${faults.join('\n')}`);
}

/** The whole text of a file, or of standard input for `-`. */
export function readText(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? String(error.code) : '';
    if (code === 'ENOENT') throw new Refusal(`there is no file ${path}`);
    if (code === 'EISDIR') throw new Refusal(`${path} is a folder`);
    if (code === 'EACCES') throw new Refusal(`${path} may not be read`);
    throw error;
  }
}

function parse(text: string, path: string): unknown {
  try {
    return JSON.parse(text);
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    throw new Refusal(`${nameOf(path)} is not JSON: ${error.message}`);
  }
}

function nameOf(path: string): string {
  return path === '-' ? 'standard input' : path;
}

/** A path as it would be written in code, e.g. `segments[0].items[2].dose.count`. */
export function showPath(path: readonly PropertyKey[]): string {
  if (path.length === 0) return 'the document';
  return path
    .map((part, index) =>
      typeof part === 'number' ? `[${part}]` : `${index > 0 ? '.' : ''}${String(part)}`,
    )
    .join('');
}
