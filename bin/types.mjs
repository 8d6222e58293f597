// TypeScript types from the JSON Schemas of files and of responses. Run by bin/test and by the build.
import { compileFromFile } from 'json-schema-to-typescript';
import { mkdirSync, writeFileSync } from 'node:fs';

const out = 'resources/js/types/generated';
mkdirSync(out, { recursive: true });
for (const name of ['job', 'shelf', 'responses']) {
    const text = await compileFromFile(`core/schema/${name}.json`, {
        cwd: 'core/schema',
        additionalProperties: true,
        bannerComment: `/* Made by bin/types.mjs from core/schema/${name}.json. */`,
        style: { singleQuote: true, tabWidth: 4 },
    });
    writeFileSync(`${out}/${name}.ts`, text);
}
