import { VERB_OF } from './lexicon'
import { FOR_THE } from './references'
import { isHeading, sentencesOf } from './sentences'

/** A part of a method under a heading of its own, or the method before the first of them. */
export interface Section {
  heading: string | undefined
  /** Sentences, each with the label that stood in front of it: `For the sauce`. */
  sentences: { text: string; label: string | undefined }[]
}

const DAY =
  /^(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day|on the day(?: of[a-z ]{0,20})?|the (?:night|day|evening) before|the (?:next|following) (?:day|morning)|next (?:day|morning)|in the (?:morning|evening)|day (?:\d|one|two|three)|ahead|to finish|to assemble)$/i
const CAPITALS = /^[A-Z][A-Z0-9 '’&:,()-]{3,60}$/
const TIMES =
  /\b(?:night|day|evening)s? before\b|\b(?:mon|tues|wednes|thurs|fri|satur|sun)day (?:night|evening)\b|\b(?:on the|next|following) (?:day|morning)\b/i
/** `The night before, mix`. */
const DAY_FIRST =
  /^((?:the (?:night|evening|day)|(?:two|three) (?:nights|days)) before|(?:the )?(?:next|following) (?:day|morning)|on the day|in the morning),? (?=[a-z])/i
/** `For the sauce: melt the butter`, `The night before: whisk`, `White sauce: melt`. */
const LABEL =
  /^(?!(?:while|as|when|once|after)\b)((?:for the |to make the |the )?[A-Za-z][A-Za-z' -]{2,38}):\s+(?=[a-zA-Z0-9])/i

/** `Off the heat: the chocolate, the lime`: where it stands, and no part of the method. */
const OFF_HEAT = /^off the heat\s*:/i

/** `One: bake. Other: cool, cover and freeze`: a label in the middle of a line. */
function labelOf(text: string, line: string): string | undefined {
  const at = line.indexOf(text.slice(0, 12))
  return at < 0 ? undefined : /[.!?]\s+([A-Z][A-Za-z' -]{2,32}):\s+$/.exec(line.slice(0, at))?.[1]
}

/** `Poach the fish. Put the fish in the pan, …`: a few words that stand over what follows them. */
const isTitle = (sentences: readonly string[]) =>
  sentences.length > 2 && sentences[0]!.split(/\s+/).length < 6 && !/\d/.test(sentences[0]!)

/** Whether each paragraph of a method begins with its title. */
function isTitled(method: string): boolean {
  const told = method
    .split(/\r?\n/)
    .map(sentencesOf)
    .filter((sentences) => sentences.length > 0)
  return told.length > 2 && told.filter(isTitle).length >= 0.75 * told.length
}

/** `Slaw - shred everything`: a label by its dash. */
const labelled = (line: string) =>
  line.replace(
    /^(\W*[A-Z][a-z]+(?: [a-z]+)?) [-–—] (?=([a-z]+))/,
    (whole, label: string, verb: string) => (VERB_OF.has(verb) ? `${label}: ` : whole),
  )

/** The parts of a method, in their order. */
export function sectionsOf(method: string): Section[] {
  const sections: Section[] = [{ heading: undefined, sentences: [] }]
  const titled = isTitled(method)
  for (const raw of method.split(/\r?\n/)) {
    const line = labelled(raw)
    const bare = line.trim().replace(/^[#*\s]+|[*\s]+$/g, '')
    const marked = /^#+\s/.test(line.trim())
    if (
      marked ||
      isHeading(bare) ||
      CAPITALS.test(bare.replace(/ \([^()]*\)$/, '')) ||
      DAY.test(bare.replace(/:$/, ''))
    ) {
      sections.push({ heading: bare.replace(/:$/, ''), sentences: [] })
      continue
    }
    const label = OFF_HEAT.test(bare)
      ? undefined
      : LABEL.exec(bare.replace(/^\(?(?:\d{1,2}\s*[.):]|[a-h]\))\s*/, '').replace(/\*\*/g, ''))?.[1]
    // A day stands for all that is said behind it.
    let day: string | undefined
    const told = sentencesOf(line)
    const title = titled && isTitle(told) ? told.shift()!.replace(/[.!?]+$/, '') : undefined
    told.forEach((text, i) => {
      const own =
        (i === 0 ? (label ?? title) : labelOf(text, line)) ??
        DAY_FIRST.exec(text)?.[1] ??
        FOR_THE.exec(text)?.[1]
      if (own && TIMES.test(own)) day = own
      sections.at(-1)!.sentences.push({ text, label: own ?? day })
    })
  }
  return sections.filter((s) => s.sentences.length)
}
