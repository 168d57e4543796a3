import type { INestApplication } from '@nestjs/common';
import { ApiProperty, DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import * as contract from '@which-way/contract';
import { API_SCHEMAS } from './api-schemas.js';

/** A schema as OpenAPI writes it. */
type Schema = NonNullable<NonNullable<OpenAPIObject['components']>['schemas']>[string];

/** The schemas of the classes of the contract, made at build from their own rules. */
const SCHEMAS: Record<string, { properties?: Record<string, object>; required?: string[] }> = API_SCHEMAS;

/** What the API takes and gives, from the controllers and from the classes of the contract. */
export function describedApi(app: INestApplication, version: string): OpenAPIObject {
  for (const [name, { properties = {}, required = [] }] of Object.entries(SCHEMAS)) {
    const said = (contract as Record<string, unknown>)[name];
    if (typeof said !== 'function') continue;
    for (const [field, schema] of Object.entries(properties))
      ApiProperty({ ...schema, required: required.includes(field) })(said.prototype as object, field);
  }
  const head = new DocumentBuilder().setTitle('Which Way').setVersion(version).build();
  const described = SwaggerModule.createDocument(app, head);
  const schemas = API_SCHEMAS as unknown as Record<string, Schema>;
  return { ...described, components: { ...described.components, schemas } };
}
