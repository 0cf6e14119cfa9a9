import { writeFileSync } from 'node:fs';
import { Refusal } from './refusal.ts';

/** Writes a text to the file that was named, or says why it can't be written. */
export function writeOut(path: string, text: string): void {
  try {
    writeFileSync(path, text);
  } catch (error) {
    throw new Refusal(`${path} can't be written: ${(error as Error).message}`);
  }
}
