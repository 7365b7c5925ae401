// npm run formats: writes the JSON Schemas of docs/formats/ from the schemas in force.
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { jsonSchemas } from './schemas';

for (const [name, schema] of Object.entries(jsonSchemas())) {
  writeFileSync(path.join('docs/formats', name), `${JSON.stringify(schema, null, 2)}\n`);
}
