import { z } from 'zod';

/** Names that every plain object answers to: used as a key, they would be found where nothing was put. */
const isBorn = (value: string): boolean => value in Object.prototype;

/** An id made by a client or a file: of an item, an event, a person, a segment. */
export const Id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'use letters, digits, _ and -')
  .refine((value) => !isBorn(value), 'this word can’t be an id');
