import { durationsIn } from './durations'
import type { Group } from './groups'
import { keepingsIn } from './keeping'

/** `Keeps three days in the fridge`: says nothing to do. */
export const isStorageNote = (text: string) =>
  (/^(?:(?:it |they |this |any left-?overs? |left-?overs? |the rest |the dish |what is left )?(?:will )?(?:keeps?|store|stores|freezes|can be (?:frozen|stored|kept|chilled)))\b/i.test(
    text,
  ) &&
    durationsIn(text).some((d) => d.kind === 'keeps')) ||
  /^(?:that is |that's |this is )?(?:enough|plenty) for (?:the )?(?:next|coming|rest)\b/i.test(
    text,
  ) ||
  /^(?:refrigerate|chill|freeze|store|keep|save|cool and (?:chill|freeze|store)) (?:any |the )?left-?overs?\b/i.test(
    text,
  ) ||
  /\b(?:freezes?|keeps?) (?:very |really )?well\b/i.test(text) ||
  /^(?:in the )?(?:fridge|freezer)\b[\s:,-]*(?:for )?(?:up to |about )?\d+ (?:days?|weeks?|months?)\b/i.test(
    text,
  ) ||
  /\bonce (?:it is |they are )?opened\b|\bafter opening\b/i.test(text) ||
  /^(?:the )?[a-z]+(?: [a-z]+)?:? (?:for )?(?:up to |about )?\d+ (?:days?|weeks?|months?)\b[^.;]*\b(?:fridge|freeze)/i.test(
    text,
  ) ||
  /^(?:store|keep)\b[^.;]*\b(?:fridge|refrigerator|freezer|airtight)\b[^.;]*\b(?:days?|weeks?|months?)\b/i.test(
    text,
  )
/** `Keep the dressing separately`: says how it is kept, and is nothing to do. */
export const isApart = (text: string) =>
  /^(?:keep|store)\b[^.;]*\b(?:separate(?:ly)?|apart|on its own)\b/i.test(text) ||
  /\bkeep the [a-z]+ (?:in a separate|separate|apart)\b/i.test(text)

/** `Stir every half hour`: done to what cooks by then. */
const NOW_AND_THEN =
  /^(?:stir|baste|shake) (?:it |them )?(?:every\b|now and (?:then|again)\b|from time to time\b|occasionally\b)|^(?:swap|turn|rotate|shake|toss|stir|flip) (?:[^.;,]{0,25}\bhalf ?-?way\b|(?:it |them )?(?:once|twice)[.\s]*$)|^wipe (?:out |clean )?(?:the|your) (?:pan|skillet|wok|pot)[.\s]*$/i
/** `It will splutter`, `the sauce should be thick`. */
const IT_WILL =
  /^(?:it|they|this|that|the [a-z]+) (?:will|should|may|might)\b|^[a-z]+ (?:will|may|might) (?:soak|thicken|absorb|firm|splutter|spit|sink|float)\b/i
/** `Check the juices run clear`, `cover with foil if it browns too fast`: beside what was said before. */
export const isCheck = (text: string) =>
  NOW_AND_THEN.test(text) ||
  // `If the top isn't brown, finish under the grill for 5 minutes`: only then.
  /^if (?:the [a-z]+|it['’]?s?|they)\b[^,]*(?:n['’]t|\bnot|\btoo|\bstiff|\bdry|\blooks?|\bseems?|\bstill)\b[^,]*, (?=[a-z])/i.test(
    text,
  ) ||
  (IT_WILL.test(text) && !durationsIn(text).length) ||
  (!durationsIn(text).length &&
    (/^(?:check|test|make sure|see) (?:that |if |whether )?(?:the juices|the seasoning|it is|they are|it['’]s)\b/i.test(
      text,
    ) ||
      /^(?:cover|tent|turn|lower|reduce|add|loosen|thin|top up)\b[^.;]*\bif (?:needed|necessary)\b/i.test(
        text,
      ) ||
      /^(?:cover|tent|turn|lower|reduce|add|loosen|thin|top up)\b[^.;]*\bif (?:it|they|the [a-z]+) (?:browns?|burns?|catch(?:es)?|looks?|gets?|starts?|seems?|needs?|is|are)\b/i.test(
        text,
      )))

/** `Get your stuff together`. */
const GATHERS =
  /^(?:get|gather|collect|have) (?:all )?(?:your |the )?(?:stuff|things|ingredients|bits|kit) (?:together|ready|out)\b/i
/** `Let everyone choose`. */
const AT_EASE =
  /^(?:let (?:everyone|people|them all) (?:choose|help|build|add|pick)|help yourselves?|dig in|enjoy)\b/i
/** `Leave the oven on`: for what comes. */
const STAYS_ON = /^(?:leave|keep) the (?:oven|grill|hob|heat) (?:on|hot)[.\s]*$/i
/** Longest that anything in a kitchen is left to itself, in minutes. */
const DAYS = 4 * 1440
/** `Enough for the next two months`: longer than a kitchen does anything is talk, or how long it keeps. */
export const isTalk = (group: Group, text: string) =>
  STAYS_ON.test(text) ||
  /\bwhen re-?heating\b/i.test(text) ||
  GATHERS.test(text) ||
  AT_EASE.test(text) ||
  / = /.test(text.replace(/\([^()]*\)/g, '')) ||
  (!['soak', 'prove', 'pack'].includes(group.work) &&
    durationsIn(text).some((d) => d.kind === 'span' && d.least > DAYS))

/** How it is finished or warmed up on another day is no part of the session. */
export const isReheating = (text: string) =>
  /\bon the day (?:you|that you|of eating|it is eaten)\b|\bfresh (?:when|each time) (?:you|it)\b|\bwhen you(?:'re| are)? (?:come to )?(?:ready to )?(?:eat|serve|re-?heat|warm)(?: it)?\b/i.test(
    text,
  ) ||
  /\b(?:min(?:ute)?s?|secs?|seconds?) from frozen[.\s]*$|^from (?:frozen|the freezer)\b/i.test(
    text,
  ) ||
  /^(?:to )?re-?heat\b[^.]*\b(?:microwave|on the day|when (?:needed|you want))\b/i.test(text) ||
  /^(?:to )?(?:re-?heat|bake|cook|roast|warm|heat)(?: it| them| the \w+| through)* (?:straight )?from (?:frozen|the freezer)\b/i.test(
    text,
  )

/** `Scatter with coriander when serving`: done at the table. What is cooked to serve is no word at the table. */
export const isAtTable = (text: string) =>
  /^(?:to serve|when serving|just before serving),? (?!(?:boil|cook|toast|fry|grill|bake|steam|roast)\b)|^(?:scatter|sprinkle|top|garnish|drizzle|finish|dress|dollop|squeeze|serve)\b[^.]*\b(?:when|just before|before|on) (?:you )?serv(?:e|ing)\b|^(?:shake|stir|toss|mix)\b[^.]*\b(?:before|when) (?:you )?eat(?:ing)?\b/i.test(
    text,
  )

/** What says how many eat, how long it keeps, or nothing to do at all, and is used as such. */
export const isSaid = (text: string) =>
  isStorageNote(text) ||
  keepingsIn(text).length > 0 ||
  /^(?:serves|makes|feeds|yield|this is for|enough for|prep|cook|total|enjoy)\b|\bserves \w+/i.test(
    text,
  ) ||
  /^(?:meanwhile,? |now |next,? )?(?:make|prepare|start) (?:the|your) [a-z ]{3,30}\.?$/i.test(
    text,
  ) ||
  text.split(/\s+/).length < 3
