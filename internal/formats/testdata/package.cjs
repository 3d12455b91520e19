// Reads an exported package, unpacked into a directory, with a reader of its own (Frictionless Data's datapackage for
// JavaScript): every table against its schema, and every reference to another table.
const { Package } = require('../../../web/node_modules/datapackage')

async function main() {
  const data = await Package.load(`${process.argv[2]}/datapackage.json`)
  if (!data.valid) throw new Error(data.errors.map((e) => e.message).join('; '))
  const rows = {}
  for (const table of data.resources.filter((r) => r.tabular)) {
    rows[table.name] = (await table.read({ keyed: true })).length
    if ((await table.checkRelations()) !== true) throw new Error(`${table.name} names what is not there`)
  }
  console.log(JSON.stringify(rows))
}
main().catch((e) => {
  console.error(e.message, e.errors)
  process.exit(1)
})
