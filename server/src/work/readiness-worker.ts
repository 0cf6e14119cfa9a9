import { readinessOf } from './readiness.ts';

/** What a thread of the pool runs. */
export default readinessOf;
