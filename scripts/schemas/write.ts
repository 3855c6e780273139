import { writeFileSync } from 'node:fs'
import { dealSchema } from '../../src/core/files/deal-file.ts'
import { gameFileSchema } from '../../src/core/files/game-file.ts'
import { jsonSchemaOf } from '../../src/core/files/json-schema.ts'
import { mindFileSchema } from '../../src/core/files/mind-file.ts'
import { pairsFileSchema } from '../../src/core/files/pairs-file.ts'
import { recordFileSchema } from '../../src/core/files/record-file.ts'

/** Writes the JSON Schema of every file format into docs/schema/, from the schemas that the code itself reads with. */
const schemas = {
  game: gameFileSchema,
  deal: dealSchema,
  play: recordFileSchema,
  mind: mindFileSchema,
  pairs: pairsFileSchema,
}
for (const [name, schema] of Object.entries(schemas)) {
  const json = jsonSchemaOf(schema)
  writeFileSync(
    `docs/schema/${name}.schema.json`,
    JSON.stringify({ title: `Lucky Twin ${name}`, ...json }, null, 2) + '\n',
  )
}
