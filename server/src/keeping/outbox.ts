import { randomUUID } from 'node:crypto';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/** Letters that would be sent, if there were a mail server. */
export interface Outbox {
  put: (to: string, subject: string, text: string) => Promise<void>;
}

/**
 * A folder that stands in for mail: every letter is a file that only the server's user can read.
 * Nothing is sent. Without a folder letters go nowhere, and links are only shown on the screen.
 */
export function createOutbox(folder: string): Outbox {
  return {
    async put(to, subject, text) {
      if (!folder) return;
      await mkdir(folder, { recursive: true, mode: 0o700 });
      const day = new Date().toISOString().replace(/[:.]/g, '-');
      const letter = `Simulated: nothing was sent.\nTo: ${to}\nSubject: ${subject}\n\n${text}\n`;
      await writeFile(join(folder, `${day}-${randomUUID()}.txt`), letter, { mode: 0o600 });
    },
  };
}
