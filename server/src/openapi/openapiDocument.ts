import { problemSchema } from '@ratio/core/document';
import type { z } from 'zod';
import { createDocument, type ZodOpenApiPathsObject } from 'zod-openapi';
import type { Endpoint } from '../endpoint.ts';
import { VERSION } from '../version.ts';

/** @returns the OpenAPI 3.1 description of endpoints, from the schemas that check their requests */
export function openapiDocument(endpoints: readonly Endpoint[]) {
  const paths: ZodOpenApiPathsObject = {};
  for (const one of endpoints) {
    const names = [...one.path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!);
    paths[one.path] = {
      ...paths[one.path],
      [one.method]: {
        summary: one.summary,
        parameters: names.map((name) => ({
          name,
          in: 'path' as const,
          required: true,
          schema: { type: 'string' as const },
        })),
        ...(one.query ? { requestParams: { query: one.query as z.ZodObject } } : {}),
        ...(one.body
          ? {
              requestBody: {
                required: true,
                content: { 'application/json': { schema: one.body } },
              },
            }
          : {}),
        responses: {
          [String(one.status ?? 200)]: {
            description: one.summary,
            content: { 'application/json': { schema: one.answer } },
          },
          default: {
            description: 'What went wrong, after RFC 9457',
            content: { 'application/problem+json': { schema: problemSchema } },
          },
        },
      },
    };
  }
  return createDocument({
    openapi: '3.1.0',
    info: {
      title: 'Ratio',
      version: VERSION,
      description:
        'Units are in the names: G, Ml, C, Frac 0–1, Kcal, Mg. Times are ISO 8601 in UTC.',
    },
    paths,
  });
}
