// What a release is made of, as SPDX 2.3: the Go modules that are linked in, and the packages of the front end that ship.
import { readFileSync } from 'node:fs'

const [revision, modules, lock] = process.argv.slice(2)
const part = (name, version, url) => ({
  SPDXID: `SPDXRef-${name}-${version}`.replace(/[^A-Za-z0-9.-]/g, '-'), name, versionInfo: version, downloadLocation: url, filesAnalyzed: false, licenseConcluded: 'NOASSERTION', licenseDeclared: 'NOASSERTION', copyrightText: 'NOASSERTION',
})
const go = readFileSync(modules, 'utf8').trim().split('\n').map((line) => line.split(' ')).map(([name, version]) => part(name, version, `https://${name}`))
const web = Object.entries(JSON.parse(readFileSync(lock, 'utf8')).packages)
  .filter(([place, p]) => place !== '' && !p.dev && !p.optional)
  .map(([place, p]) => ({ ...part(place.replace(/^.*node_modules\//, ''), p.version, p.resolved), licenseDeclared: p.license ?? 'NOASSERTION' }))
const parts = [...new Map([...go, ...web].map((p) => [p.SPDXID, p])).values()] // one that lies in two places once
const own = { ...part('fribbet', revision, 'NOASSERTION'), licenseConcluded: 'MIT', licenseDeclared: 'MIT' }
console.log(JSON.stringify({
  spdxVersion: 'SPDX-2.3', dataLicense: 'CC0-1.0', SPDXID: 'SPDXRef-DOCUMENT', name: `fribbet-${revision}`, documentNamespace: `urn:fribbet:${revision}`,
  creationInfo: { created: new Date().toISOString().replace(/\.\d+/, ''), creators: ['Tool: scripts/sbom.mjs'] },
  packages: [own, ...parts],
  relationships: [{ spdxElementId: 'SPDXRef-DOCUMENT', relationshipType: 'DESCRIBES', relatedSpdxElement: own.SPDXID },
    ...parts.map((p) => ({ spdxElementId: own.SPDXID, relationshipType: 'DEPENDS_ON', relatedSpdxElement: p.SPDXID }))],
}, null, 1))
