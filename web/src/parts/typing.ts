/** True while keys belong to a field and not to the screen. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target;
  return (
    target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]')
  );
}
