/** Something the person at the keyboard can mend; told on standard error, exit code 2. */
export class Refusal extends Error {}
