import { applyChange } from '../src/document/changes'
import { emptyDocument, type Document } from '../src/document/document'
import { demoChanges } from '../src/generate/demo'

/** The demo as its change sets make it, one after the other. */
export const demoDocument = (): Document =>
  demoChanges.reduce<Document>((document, change) => {
    const applied = applyChange(document, change)
    if (!applied.ok) throw new Error(JSON.stringify(applied))
    return applied.document
  }, emptyDocument)
