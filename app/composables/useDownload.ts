import { collectHousehold } from '~/database/household'

/** Gives the reader a file. */
export function download(name: string, type: string, content: BlobPart): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([content], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}

/** Gives the reader all that the household owns as one file; its name. */
export async function downloadHousehold(): Promise<string> {
  const household = await collectHousehold()
  const name = `cadrum-${household.savedAt.slice(0, 10)}.json`
  download(name, 'application/json', JSON.stringify(household, null, 1))
  return name
}
