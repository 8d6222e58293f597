// TypeScript types from the JSON Schemas of files (core/schema) and of what screens are sent (app/Screens). Run by
// bin/test and by the build.
import { compile, compileFromFile } from 'json-schema-to-typescript';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';

const out = 'resources/js/types/generated';
mkdirSync(out, { recursive: true });
const options = (from) => ({
    additionalProperties: true,
    bannerComment: `/* Made by bin/types.mjs from ${from}. */`,
    style: { singleQuote: true, tabWidth: 4 },
});
for (const name of ['job', 'shelf']) {
    const file = `core/schema/${name}.json`;
    writeFileSync(`${out}/${name}.ts`, await compileFromFile(file, { cwd: 'core/schema', ...options(file) }));
}

// Screens refer to each other's definitions: all of them become one document.
const files = readdirSync('app/Screens', { recursive: true })
    .filter((file) => file.endsWith('.json'))
    .sort()
    .map((file) => `app/Screens/${file}`);
const $defs = {};
for (const file of files) {
    const text = readFileSync(file, 'utf8').replaceAll(/"\$ref": "[^"#]*#/g, '"$ref": "#');
    for (const [name, schema] of Object.entries(JSON.parse(text).$defs)) {
        if ($defs[name]) {
            throw new Error(`${file}: “${name}” is defined by another screen already.`);
        }
        $defs[name] = schema;
    }
}
const all = {
    title: 'Responses',
    type: 'object',
    properties: Object.fromEntries(Object.keys($defs).map((name) => [name, { $ref: `#/$defs/${name}` }])),
    additionalProperties: false,
    $defs,
};
writeFileSync(`${out}/responses.ts`, await compile(all, 'Responses', options('app/Screens')));
