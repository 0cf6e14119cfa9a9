import { readFileSync } from 'node:fs';
import { Validator } from '@seriousme/openapi-schema-validator';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { ANSWERS } from '@wrenfern/contract/answers';
import { ACCESS } from '../auth/access.ts';
import { checkAnswer } from '../testing/check-answer.ts';
import { registeredRoutes } from '../testing/routes.ts';
import { openTestApp } from '../testing/test-studio.ts';
import { ERRORS } from './errors.ts';

const { app } = await openTestApp();

const Description = z.object({
  openapi: z.string(),
  paths: z.record(
    z.string(),
    z.record(
      z.string(),
      z.object({
        operationId: z.string(),
        parameters: z.array(z.object({ name: z.string(), in: z.string() })),
        requestBody: z.object({}).loose().optional(),
        responses: z.record(z.string(), z.object({}).loose()),
      }),
    ),
  ),
});

const { text } = await request(app).get('/api/openapi.json').expect(200);
const served: unknown = JSON.parse(text);
const { paths } = Description.parse(served);
const operations = Object.entries(paths).flatMap(([path, methods]) =>
  Object.entries(methods).map(([method, operation]) => ({
    route: `${method.toUpperCase()} ${path.replace(/\{(\w+)\}/g, ':$1')}`,
    operation,
  })),
);

describe('the description of the interface', () => {
  it('is OpenAPI 3.1, by an independent validator', async () => {
    const result = await new Validator().validate(JSON.parse(text) as Record<string, unknown>);
    expect(result.errors ?? []).toEqual([]);
    expect(result.valid).toBe(true);
  });

  it('tells every route that the app has, and no other', () => {
    const described = operations.map(({ route }) => route).sort();
    const there = registeredRoutes(app).filter((route) => route in ACCESS);
    expect(described).toEqual(there.sort());
    expect(Object.keys(ANSWERS).sort()).toEqual(Object.keys(ACCESS).sort());
  });

  it('names each operation once, and every part of its address', () => {
    const ids = operations.map(({ operation }) => operation.operationId);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { route, operation } of operations) {
      const inPath = operation.parameters.filter((each) => each.in === 'path');
      expect(inPath.map(({ name }) => `:${name}`)).toEqual(route.match(/:\w+/g) ?? []);
    }
  });

  it('says what is answered, and with which status', () => {
    for (const { route, operation } of operations) {
      const { status } = ANSWERS[route as keyof typeof ANSWERS];
      expect(Object.keys(operation.responses)).toEqual([String(status), 'default']);
    }
  });
});

describe('what is answered', () => {
  const schema = z.object({ name: z.string(), tags: z.array(z.object({ id: z.number() })) });

  it('is what the contract says, no field less and none more', () => {
    const answer = { name: 'A', tags: [{ id: 1 }] };
    expect(() => checkAnswer('GET /any', schema, answer)).not.toThrow();
    expect(() => checkAnswer('GET /any', schema, { name: 'A' })).toThrow('does not answer');
    const more = { ...answer, tags: [{ id: 1, secret: 'x' }] };
    expect(() => checkAnswer('GET /any', schema, more)).toThrow('.tags[].secret');
  });
});

describe('the manual page of refusals', () => {
  it('lists every refusal of the table with its status and its sentence, and no other', () => {
    const page = readFileSync('docs/formats/errors.md', 'utf8');
    const rows = [...page.matchAll(/^\| `([a-z-]+)` +\| (\d{3}) +\| (.*?) +\|/gm)];
    expect(rows.map(([, code, status, title]) => [code, Number(status), title])).toEqual(
      Object.entries(ERRORS).map(([code, { status, title }]) => [code, status, title]),
    );
  });
});
