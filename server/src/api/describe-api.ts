import { z } from 'zod';
import * as account from '@wrenfern/contract/account';
import { ANSWERS, type Answer, type RouteName } from '@wrenfern/contract/answers';
import * as classes from '@wrenfern/contract/classes';
import * as exercises from '@wrenfern/contract/exercises';
import * as keeping from '@wrenfern/contract/keeping';
import * as people from '@wrenfern/contract/people';
import * as cards from '@wrenfern/contract/class-cards';
import * as studio from '@wrenfern/contract/studio';
import * as wall from '@wrenfern/contract/wall';
import { Exercise } from '@wrenfern/core/movement/exercise';
import { Person } from '@wrenfern/core/people/person';
import { Plan } from '@wrenfern/core/plan/plan';
import { SchoolRules } from '@wrenfern/core/plan/school';
import { Machines } from '@wrenfern/core/room/machines';
import { ACCESS } from '../auth/access.ts';
import { ERRORS } from './errors.ts';
import { BODIES, QUERIES } from './requests.ts';

type Json = Record<string, unknown>;

/** Schemas that stand once in the description, by the names that the code has for them. */
const NAMED: Json = {
  ...account,
  ...classes,
  ...exercises,
  ...keeping,
  ...people,
  ...cards,
  ...wall,
  ...studio,
  Plan,
  Exercise,
  Person,
  SchoolRules,
  Machines,
};

const PROBLEM = {
  type: 'object',
  description: 'RFC 9457 problem details; `errors` names each field at fault.',
  required: ['type', 'title', 'status', 'code', 'requestId'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    code: { enum: Object.keys(ERRORS) },
    requestId: { type: 'string' },
    errors: {
      type: 'array',
      items: {
        type: 'object',
        required: ['path', 'message'],
        properties: {
          path: { type: 'array', items: { type: ['string', 'integer'] } },
          message: { type: 'string' },
        },
      },
    },
  },
};

/** The whole interface as OpenAPI 3.1, made of the schemas that requests are read and answers written with. */
export function describeApi(): Json {
  const answers = createNames('output', NAMED);
  const bodies = Object.entries(BODIES).map(([route, body]) => [`${operationId(route)}Body`, body]);
  const parts = Object.entries(NAMED).map(([name, schema]) => [`${name}Sent`, schema]);
  const requests = createNames('input', Object.fromEntries([...parts, ...bodies]) as Json);
  const paths: Record<string, Json> = {};
  for (const route of Object.keys(ANSWERS) as RouteName[]) {
    const [method = '', path = ''] = route.split(' ');
    const address = path.replace(/:(\w+)/g, '{$1}');
    paths[address] = {
      ...paths[address],
      [method.toLowerCase()]: operation(route, path, answers, requests),
    };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Wrenfern',
      version: '1',
      description:
        'What the screens of Wrenfern ask of its server. Times are UTC, days the studio’s.',
    },
    servers: [{ url: '/api' }],
    paths,
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'wrenfern' },
      },
      schemas: { Problem: PROBLEM, ...answers.schemas(), ...requests.schemas() },
    },
  };
}

function operation(route: RouteName, path: string, answers: Names, requests: Names): Json {
  const who = ACCESS[route];
  const query = new Map<string, z.ZodType>(Object.entries(QUERIES)).get(route);
  const body = new Map<string, z.ZodType>(Object.entries(BODIES)).get(route);
  return {
    operationId: operationId(route),
    description: who === 'anyone' ? 'For anyone.' : `For ${who.join(', ')}.`,
    security: who === 'anyone' ? [] : [{ session: [] }],
    parameters: [...pathParameters(path), ...(query ? queryParameters(query) : [])],
    ...(body
      ? {
          requestBody: {
            required: true,
            content: { 'application/json': { schema: requests.of(body) } },
          },
        }
      : {}),
    responses: {
      [ANSWERS[route].status]: response(ANSWERS[route], answers),
      default: {
        description: 'What was refused, and why.',
        content: {
          'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } },
        },
      },
    },
  };
}

/** "PUT /classes/:id/plan" as "putClassesIdPlan". */
function operationId(route: string): string {
  return route
    .toLowerCase()
    .replace(/[^a-z]+([a-z])/g, (_, letter: string) => letter.toUpperCase())
    .replace(/[^a-zA-Z]/g, '');
}

function response(answer: Answer, names: Names): Json {
  if (answer.kind === 'done') return { description: 'Done.' };
  if (answer.kind === 'file') {
    return {
      description: 'A file or a stream.',
      content: { [answer.type]: { schema: { type: 'string' } } },
    };
  }
  return {
    description: 'What was asked for.',
    content: { 'application/json': { schema: names.of(answer.schema) } },
  };
}

function pathParameters(path: string): Json[] {
  return [...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
}

function queryParameters(query: z.ZodType): Json[] {
  const { properties = {}, required = [] } = z.toJSONSchema(query, { ...JSON_SCHEMA, io: 'input' });
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
}

const JSON_SCHEMA = { unrepresentable: 'any', target: 'draft-2020-12' } as const;

interface Names {
  /** The reference to a schema that has a name; throws where it has none. */
  of: (schema: z.ZodType) => Json;
  schemas: () => Json;
}

/** What is sent and what is answered differ where a field may be left out. */
function createNames(io: 'input' | 'output', named: Json): Names {
  const registry = z.registry<{ id: string }>();
  for (const [id, schema] of Object.entries(named)) {
    if (schema instanceof z.ZodType) registry.add(schema, { id });
  }
  const uri = (id: string) => `#/components/schemas/${id}`;
  return {
    of(schema) {
      const name = registry.get(schema);
      if (!name) throw new Error('an answer without a name: export its schema from the contract');
      return { $ref: uri(name.id) };
    },
    schemas: () =>
      Object.fromEntries(
        Object.entries(z.toJSONSchema(registry, { ...JSON_SCHEMA, io, uri }).schemas).map(
          ([name, { $schema: _, $id: _id, ...schema }]) => [name, schema],
        ),
      ),
  };
}
