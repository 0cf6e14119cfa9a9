/** What is wrong with the whole form, not with one field of it. */
export function FormError({ message }: { message: string | undefined }) {
  if (!message) return null;
  return (
    <p
      role="alert"
      className="rounded-lg border border-copper-line bg-copper-soft p-2.5 text-copper"
    >
      {message}
    </p>
  );
}
