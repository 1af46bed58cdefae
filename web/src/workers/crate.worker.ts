import { expose } from 'comlink'
import schemaUrl from '../../../docs/notebook.schema.json?url'
import { type Beside, crate, type Crate } from './crate'

async function schema(): Promise<string | null> {
  const response = await fetch(schemaUrl).catch(() => null)
  return response?.ok ? response.text() : null
}

const own: Crate = {
  ...crate,
  pack: async (exported, beside: Beside, nowMs, report) =>
    crate.pack(exported, { ...beside, schema: beside.schema ?? (await schema()) }, nowMs, report),
}
expose(own)
