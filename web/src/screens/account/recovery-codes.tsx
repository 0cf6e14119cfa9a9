import { Copy, Download } from 'lucide-react';
import { Button } from '../../parts/button.tsx';
import { copyText } from '../../parts/copy-text.ts';
import { saveFile } from '../../parts/save-file.ts';

/** Codes for the day on which the authenticator is lost; they are shown this once. */
export function RecoveryCodes({ codes, done }: { codes: readonly string[]; done: () => void }) {
  const text = codes.join('\n');
  return (
    <section aria-label="Recovery codes" className="flex flex-col gap-3 rounded-xl bg-mist p-4">
      <h3 className="text-lg">Recovery codes</h3>
      <p>
        Each lets you in once without your authenticator. They are shown now and never again: print
        or write them down, and keep them away from your phone.
      </p>
      <ul className="grid grid-cols-1 gap-x-6 gap-y-1 font-semibold tracking-wide sm:grid-cols-2">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void copyText(text)}>
          <Copy size={16} aria-hidden /> Copy
        </Button>
        <Button onClick={() => saveFile('wrenfern-recovery-codes.txt', `${text}\n`, 'text/plain')}>
          <Download size={16} aria-hidden /> As a file
        </Button>
        <Button look="main" className="ml-auto" onClick={done}>
          I have kept them
        </Button>
      </div>
    </section>
  );
}
