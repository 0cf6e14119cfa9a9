/** How a caution was called before cautions were written by measure, and what it says now; never less careful. */
const RENEWED: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  'low-bone-density': { caution: 'osteoporosis' },
  'disc-flexion': { caution: 'rounding-out' },
  'disc-loaded-flexion': { caution: 'loaded-rounding-out' },
  'extension-sensitive': { caution: 'arch-sensitive' },
  'fused-segments': { caution: 'fused' },
  // Without a due date every stage holds, until somebody fills it in.
  'pregnancy-early': { caution: 'pregnancy' },
  'pregnancy-later': { caution: 'pregnancy' },
  'abdominal-separation': { caution: 'belly-separation' },
};

/** An entry as it was stored, in the words of today; what is not known here stays for the schema to judge. */
export function renewCaution(stored: unknown): unknown {
  if (typeof stored !== 'object' || stored === null || !('caution' in stored)) return stored;
  const { caution } = stored;
  if (typeof caution !== 'string' || !Object.hasOwn(RENEWED, caution)) return stored;
  return { ...stored, ...RENEWED[caution] };
}
