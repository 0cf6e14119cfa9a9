import { toast } from 'sonner';

/** Copies a text and says so; without leave to use the clipboard, says what to do instead. */
export async function copyText(text: string): Promise<void> {
  try {
    await navigator.clipboard.writeText(text);
    toast.success('Copied');
  } catch {
    // Refused by the browser: the text is on the screen to copy from.
    toast.error('This browser does not let pages copy. Mark the words and copy them.');
  }
}
