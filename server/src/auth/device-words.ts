const SYSTEMS = [
  [/iPad/, 'iPad'],
  [/iPhone/, 'iPhone'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Macintosh|Mac OS/, 'Mac'],
  [/CrOS/, 'Chromebook'],
  [/Linux/, 'Linux'],
] as const;

const BROWSERS = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\/|CriOS\//, 'Chrome'],
  [/Safari\//, 'Safari'],
] as const;

/** A device in words that its owner knows it by; no more of the header is kept. */
export function deviceOf(userAgent: string): string {
  const named = (list: readonly (readonly [RegExp, string])[]) =>
    list.find(([pattern]) => pattern.test(userAgent))?.[1];
  const [system, browser] = [named(SYSTEMS), named(BROWSERS)];
  if (system && browser) return `${browser} on ${system}`;
  return system ?? browser ?? 'an unknown device';
}
