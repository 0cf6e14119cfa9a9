export const PASSWORD_HINT =
  'At least 10 characters, not one that is easily guessed: three or four words do well.';

/** What a form can see by itself; the server also knows which are guessed first. */
export const PASSWORD_RULES = {
  required: 'Choose a password.',
  minLength: { value: 10, message: 'At least 10 characters.' },
  maxLength: { value: 200, message: 'At most 200 characters.' },
};
