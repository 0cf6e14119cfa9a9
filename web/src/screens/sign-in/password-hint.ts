/** What a form says of a password before one is chosen; the server also knows which are guessed first. */
export const PASSWORD_HINT =
  'At least 10 characters, not one that is easily guessed: three or four words do well.';
