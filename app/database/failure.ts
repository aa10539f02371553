/** Something that should have been kept and is not; it has been told already. */
export class NotSaved extends Error {
  override name = 'NotSaved'
  constructor(
    /** What is not saved, as the cook would call it. */
    readonly what: string,
    /** Why, in a sentence. */
    readonly why: string,
  ) {
    super(`${what}: ${why}`)
  }
}

interface Named {
  name?: unknown
  inner?: unknown
  message?: unknown
}

/** Names of what can go wrong with the browser's storage, from the innermost cause outwards. */
function names(error: unknown): string[] {
  const out: string[] = []
  for (let e = error as Named | undefined; e && out.length < 6; e = e.inner as Named | undefined)
    out.unshift(String(e.name ?? ''), String(e.message ?? ''))
  return out
}

/** Why the browser did not keep something, in a sentence that says what can be done. */
export function whyNotKept(error: unknown): string {
  const all = names(error).join(' ')
  if (/QuotaExceeded/i.test(all))
    return 'the storage that this browser gives to pages is full. Free some space on this device.'
  if (/VersionError|VersionChange|DatabaseClosed|blocked/i.test(all))
    return 'another tab has a newer Cadrum open. Reload this page.'
  if (/Timeout/i.test(all)) return 'the browser does not answer.'
  if (/InvalidState|MissingAPI|OpenFailed|Security|UnknownError/i.test(all))
    return 'the browser has closed its storage to this page.'
  if (/Abort/i.test(all)) return 'the browser broke the writing off.'
  const message = error instanceof Error ? error.message : String(error)
  return message.endsWith('.') ? message : `${message}.`
}
