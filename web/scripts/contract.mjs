// The contract is valid by a validator besides the one of the Go tests, and every question stands under a tag that
// is described.
import SwaggerParser from '@apidevtools/swagger-parser'

const contract = await SwaggerParser.validate(new URL('../../openapi.yaml', import.meta.url).pathname)
const tags = new Set(contract.tags.map(t => t.name))
const wrong = []
for (const [path, item] of Object.entries(contract.paths)) {
  for (const [method, asked] of Object.entries(item)) {
    if (!asked.operationId) continue
    if (asked.tags?.length !== 1 || !tags.has(asked.tags[0]))
      wrong.push(`${method} ${path}: one of the tags ${[...tags].join(', ')}`)
  }
}
if (wrong.length > 0) {
  console.error(wrong.join('\n'))
  process.exit(1)
}
