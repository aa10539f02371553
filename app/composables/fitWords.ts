/** A letter of the weave's small print is about so wide, in pixels; a line of it so high. */
const LETTER = 4.8
const LINE = 12
/** The mark in front of the first line takes so much. */
const MARK = 20
/** What no name ends with. */
const DANGLING =
  /(?:[,;:]|\s+(?:and|or|the|a|an|to|of|in|on|with|until|for|from|at|by|through|into|part|panful))+$/i

/** As many whole words as find room, in lines; nothing that ends in the middle of a thought. */
export function fitWords(text: string, width: number, height: number, marked: boolean): string[] {
  const most = Math.max(1, Math.floor((height + 1) / LINE))
  const lines: string[] = []
  let line = ''
  const room = () => (width - (marked && !lines.length ? MARK : 0)) / LETTER
  const words = text.split(' ')
  while (words.length) {
    const longer = line ? `${line} ${words[0]}` : words[0]!
    if (longer.length <= room()) {
      line = longer
      words.shift()
    } else {
      if (lines.length + 1 >= most) break
      lines.push(line)
      line = ''
      if (words[0]!.length > room()) break
    }
  }
  const all = [...lines, line].filter((l, i) => l || i === 0)
  if (words.length) all[all.length - 1] = all.at(-1)!.replace(DANGLING, '')
  return all
}
