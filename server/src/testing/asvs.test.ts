import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import { describe, expect, it } from 'vitest';

const ROOT = new URL('../../../', import.meta.url);

interface Line {
  number: string;
  stands: string;
  by: string[];
}

/** The rows of the page that holds the app against the standard. */
const lines: Line[] = readFileSync(new URL('docs/asvs.md', ROOT), 'utf8')
  .split('\n')
  .filter((row) => /^\| \d+\.\d+\.\d+/.test(row))
  .map((row) => {
    const [, number = '', , stands = '', by = ''] = row.split('|').map((cell) => cell.trim());
    return { number, stands, by: [...by.matchAll(/`([^`]+)`/g)].map(([, file = '']) => file) };
  });

const files = new Set(
  execFileSync('git', ['ls-files'], { cwd: ROOT, encoding: 'utf8' })
    .split('\n')
    .map((path) => basename(path)),
);

describe('the page against ASVS', () => {
  it('goes through the standard in its order, each line once', () => {
    const keys = lines.map(({ number }) => number.split('.').map(Number));
    const sorted = [...keys].sort((a, b) => {
      const at = a.findIndex((part, index) => part !== b[index]);
      return at < 0 ? 0 : (a[at] ?? 0) - (b[at] ?? 0);
    });
    expect(keys).toEqual(sorted);
    expect(new Set(lines.map(({ number }) => number)).size).toBe(lines.length);
    expect(lines.length).toBeGreaterThan(150);
  });

  it.each(lines.map((line) => [line.number, line] as const))(
    'says how %s stands',
    (_number, line) => {
      expect(line.stands).toMatch(/^(met|part: .+|not met.* .+|n\/a)/);
      if (line.stands.startsWith('n/a')) return;
      expect(line.by.length).toBeGreaterThan(0);
      for (const file of line.by) expect(files).toContain(file);
    },
  );
});
