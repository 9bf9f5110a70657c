import { readFileSync } from 'node:fs';
import { Validator } from '@seriousme/openapi-schema-validator';
import { expect, it } from 'vitest';

/** The document of the API against the OpenAPI Initiative's own schema of OpenAPI 3.1 (2022-10-07), as a public validator ships it. */

const document = JSON.parse(readFileSync('docs/openapi.json', 'utf8')) as Record<string, unknown>;

it('is a valid OpenAPI 3.1 document', async () => {
    const validator = new Validator();
    expect(await validator.validate(structuredClone(document))).toEqual({ valid: true });
    expect(validator.version).toBe('3.1');
});

it('is checked by something that finds mistakes', async () => {
    const broken = { ...structuredClone(document), paths: { '/today': { get: { responses: { '200': { content: {} } } } } } };
    expect((await new Validator().validate(broken)).valid).toBe(false);
});

it('refers to nothing that is not there', async () => {
    const validator = new Validator();
    await validator.validate(structuredClone(document));
    expect(() => validator.resolveRefs()).not.toThrow();
});
