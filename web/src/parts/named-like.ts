/** True where the letters that were typed stand somewhere in a name, however they are written. */
export function isNamedLike({ name }: { name: string }, typed: string): boolean {
  return name.toLowerCase().includes(typed.trim().toLowerCase());
}
