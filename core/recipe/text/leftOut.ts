import { lowerFirst, upperFirst } from '../casing'
import { DONE, VERB_OF } from './lexicon'

/** `Rest 10 minutes while you reduce the juices - 5 minutes`: what is done beside it takes its own time. */
const WHILE_YOU_DO =
  / while (?:you|i|we) (?!make\b|prepare\b|get\b|do\b|wait\b|deal\b|see\b)([a-z]+) ((?:the|your|a|some|both) [^.;]*\d ?(?:minutes?|mins?)\b[^.;]*)(?=[.;]|$)/i
/** `When everything is cold: grains, veg, halloumi`. */
const WHEN_COLD =
  /(^|[.!?] )(?:when|once) (?:everything|it all|it['’]s all|all of it) (?:is |has )?(?:gone )?(?:stone |completely |quite )?(?:cold|cooled?(?: down)?)(?:[:,] *)(?=[a-z])/gi

/** `For the tortillas mix everything`: a comma is missing. */
const FOR_WHICH = /((?:^|[.!?] )For the [a-z]+) ([a-z]+) (?=([a-z]+) )/g

/** A line with sentences that hold two things to do, each with its own time, as two sentences. */
export const inParts = (line: string): string =>
  line
    // `Rest the duck while you reduce the juices in the tin`: it is out of its tin by then.
    .replace(
      /(^|[.!?] )(?:let )?(?:the ([a-z]+(?: [a-z]+)?) rest|rest the ([a-z]+(?: [a-z]+)?))(?= [^.;]* while (?:you|i|we) [a-z]+ [^.;]*\b(?:juices|gravy|tin)\b)/gi,
      (_, before: string, one: string, other: string) =>
        `${before}Lift the ${one ?? other} onto a board and rest`,
    )
    .replace(WHILE_YOU_DO, (whole, verb: string, what: string) =>
      VERB_OF.has(verb.toLowerCase()) ? `. Meanwhile, ${verb.toLowerCase()} ${what}` : whole,
    )
    .replace(FOR_WHICH, (whole, lead: string, next: string, third: string) => {
      if (VERB_OF.has(next)) return `${lead}, ${next} `
      return VERB_OF.has(third) ? `${lead} ${next}, ` : whole
    })
    .replace(
      WHEN_COLD,
      (_, before: string) =>
        `${before}Spread everything out on plates to cool. Pack into the boxes `,
    )

const HEAT_TURNED = String.raw`(?:turn|lower|raise|put) (?:the )?heat (?:up|down)|(?:turn|lower|raise) (?:it )?(?:up|down)`
const PLACE = String.raw`(?:sauce)?pan|pot|bowl|tin|dish|tray|casserole|jug`
/** Whether a sentence begins with a command: `boil the sauce down`. */
const isCommand = (text: string) => VERB_OF.has(/^[a-z]+/i.exec(text)?.[0].toLowerCase() ?? '')

/** A word by which a sentence is more than a list of food. */
const isNoFood = (word: string) =>
  /^(?:the|for|to|with|of|it|them|then|now|when|while|an?|all|everything|sit|leave)$/i.test(word) ||
  (VERB_OF.has(word.toLowerCase()) && !/^(?:salt|butter|flour|oil|cream|mince)$/i.test(word))

/** `Put the potatoes on: peeled, quartered, cold salted water, 20 mins from the boil`. */
const PUT_ON =
  /^(meanwhile, )?put (the [a-z]+(?: [a-z]+)?) on: ([^.;]+?), (\d{1,2}(?:-\d{1,2})?) ?(?:minutes?|mins?)(?: from (?:the|when it) boils?)?(?=[.;]|$)/i

/** Sentences whose verb is left out or stands elsewhere, as commands. */
export const withVerbs = (text: string): string =>
  text
    // `When the plums go in, put the potatoes on`: beside it.
    .replace(
      /^(?:when|as|once) the [a-z]+(?: [a-z]+)? (?:go|goes|come|comes) (?:in|out|on|off)(?: the oven| to the oven)?, (?=[a-z])/i,
      'Meanwhile, ',
    )
    .replace(PUT_ON, (whole, lead: string | undefined, what: string, how: string, time: string) => {
      const words = how.split(/,\s*/)
      const cuts = words.flatMap((w) => DONE[w.toLowerCase()] ?? [])
      const water = words.find((w) => /\bwater\b/i.test(w))
      if (!water) return whole
      const cut = cuts.length ? `${cuts.join(' and ')} ${what}, ` : ''
      return `${lead ?? ''}${cut}put ${cuts.length ? 'them' : what} in a pan of ${water}, boil for ${time} minutes`
    })
    // `Meat back in along with any juices, stock, herbs`.
    .replace(
      /^((?:the )?[a-z]+(?: [a-z]+)?) back in(?:to the (?:pan|pot))?(?: along)? with (?:any |all |the )?(?=[a-z])/i,
      (_, what: string) =>
        `Return the ${lowerFirst(what.replace(/^the /i, ''))} to the pan with the `,
    )
    .replace(/\bthe fat (?:comes|lifts|peels|will come) off\b/i, 'lift the fat off')
    // `Turn the heat down, veg in, 10 minutes`.
    .replace(
      new RegExp(
        String.raw`^(${HEAT_TURNED}), ((?:the )?[a-z]+(?:(?:,| and| &) [a-z]+)*) in(?=[,.;]|$)`,
        'i',
      ),
      '$1, add $2',
    )
    // `Cool it, then fridge overnight`.
    .replace(
      /,? (?:and )?then (?:into )?(?:the )?(fridge|freezer) (?=overnight|for\b|until|till|\d)/i,
      ', then put in the $1 ',
    )
    // `Rest of butter into saucepan`.
    .replace(
      new RegExp(
        String.raw`^((?:the )?rest of (?:the )?)([a-z]+(?: [a-z]+)?) in(?:to)? ((?:an?|the) )?(${PLACE})\b`,
        'i',
      ),
      'Put the rest of the $2 into a $4',
    )
    // `Start them in a cold dry frying pan`.
    .replace(/^start (them|it|the [a-z]+(?: [a-z]+)?) (?:off )?in (?=an? )/i, 'Fry $1 in ')
    // `Turn, 2 mins, into a roasting tin`.
    .replace(
      /^turn, (\d{1,2}) ?(?:minutes?|mins?), (?:then )?into (?=an? |the )/i,
      'Turn, fry for $1 minutes, then put into ',
    )
    // `Griddle in a hot dry pan`.
    .replace(/^griddle (?=in|on|for|over|until|till|the\b|them|it\b|both)/i, 'Fry ')
    // `The rabbit comes out`, `sauce boils down 10 minutes, cream in, meat in`.
    .replace(
      /^(the [a-z]+(?: [a-z]+)?) comes? out(?=[,.;]| and\b|$)/i,
      (_, what: string) => `Take ${lowerFirst(what)} out`,
    )
    .replace(
      /^(?:the )?([a-z]+) boils? down (?:for )?(?=\d)/i,
      (_, what: string) => `Boil the ${lowerFirst(what)} down for `,
    )
    .replace(
      /, (?:the )?([a-z]+(?: and [a-z]+)?) in(?=(?:, (?:the )?[a-z]+ in)*[.;]|(?:, (?:the )?[a-z]+ in)*$)/gi,
      (whole, what: string, _at: number, said: string) =>
        !isCommand(said) || (VERB_OF.has(what.toLowerCase()) && what !== 'cream')
          ? whole
          : `, add the ${what}`,
    )
    // `All in the pie dish`, `all into a pot`.
    .replace(
      new RegExp(String.raw`^(?:it )?all in(?:to)? ((?:an?|the) (?:[a-z-]+ )?(?:${PLACE}))\b`, 'i'),
      'Put everything in $1',
    )
    // `Cold and in the refrigerator until tomorrow`.
    .replace(
      /^cold,? (?:and )?(?:then )?(?:in(?:to)? )?the (fridge|refrigerator) (?:un)?til(?:l)? (?:tomorrow|(?:the )?next day)/i,
      'Leave to go cold, then put in the $1 overnight',
    )
    .replace(/\b(?:un)?til(?:l)? tomorrow\b/i, 'overnight')
    // `I put flour on, then cider, mustard and the bacon`.
    .replace(
      /^((?:then |now )?(?:i |you |we )?)put (?:the )?(flour|sugar|salt|cheese|herbs|spices) on, then /i,
      '$1add the $2, then add the ',
    )
    // `Out of the tin onto a rack straight away`.
    .replace(
      /^(?:straight )?out of (the (?:tin|tins|dish|tray|pan)) (?:and )?(on ?to|to) (?=an? |the )/i,
      'Turn out of $1 onto ',
    )
    // `Four sets of folds, one every 30 minutes`.
    .replace(
      /^(?:give it |do )?(?:about )?([a-z]+|\d) sets? of (?:stretch(?:es)? and )?folds,? (?:one )?(?:every|each|at intervals of) (?=(?:half an hour|\d))/i,
      (_, many: string) => `Stretch and fold ${lowerFirst(many)} times, every `,
    )
    // `Scatter.`: over what was made before it.
    .replace(
      /^(scatter|sprinkle|strew)[.\s]*$/i,
      (_, verb: string) => `${upperFirst(verb.toLowerCase())} over`,
    )
    // `Freeze half at this point - open freeze on the tray 2 hrs`.
    .replace(
      /^freeze (half|some) (?:at this point|now|here) ?[-–—:,] ?(open[ -]freeze|freeze) /i,
      (_, what: string, verb: string) => `${upperFirst(verb.toLowerCase())} ${what} of them `,
    )
    // `Two big sheets of parchment, crossed, in a deep roasting tin`.
    .replace(
      /^(?:an?|two|three|\d) (?:[a-z]+ )?(?:sheets?|pieces?|layers?) of (parchment|foil|baking paper|paper)[^.;]*? in (an? (?:[a-z]+ ){0,3}(?:tin|dish|tray))\b/i,
      'Line $2 with $1',
    )
    // `Potatoes and peppers in the middle with the rest of the marinade`.
    .replace(
      /^((?:the )?[a-z]+(?:(?:,| and| &) [a-z]+)*) (in the (?:middle|centre|bottom|base)|underneath|round the (?:edge|outside)|on (?:a|the) (?:baking )?(?:tray|sheet)) (?=with\b)/i,
      (whole, what: string, where: string) =>
        VERB_OF.has(what.split(/[ ,]/)[0]!.toLowerCase())
          ? whole
          : `Put the ${lowerFirst(what.replace(/^the /i, ''))} ${where} `,
    )
    // `Lamb onto a board under foil, 20 minutes`.
    .replace(
      /^((?:the )?[a-z]+) (?:on|onto|to) (an? (?:warm )?(?:board|plate|rack))([^.;,]*), (?:for )?(?=\d)/i,
      (_, what: string, where: string, how: string) =>
        `Lift the ${lowerFirst(what.replace(/^the /i, ''))} onto ${where}, leave to rest${how} for `,
    )
    // `Take the lamb out an hour ahead`.
    .replace(
      /^(take the [a-z]+(?: [a-z]+)? out)(?: of the fridge)? (an hour|half an hour|\d+ (?:minutes|mins|hours?)) (?:ahead|early|beforehand)\b/i,
      '$1 of the fridge, leave to stand for $2',
    )
    // `High pressure 20 min`.
    .replace(
      /^(high|low|full) pressure (?:for )?(?=\d)/i,
      (_, how: string) => `Cook at ${how.toLowerCase()} pressure for `,
    )
    // `Run 3 min`: the processor.
    .replace(
      /^run (?:it |the (?:machine|motor|processor) )?(?:for )?(?=\d|until|till)/i,
      'Process for ',
    )
    // `And griddle them`.
    .replace(
      /\b(and|then) griddle (?=them\b|it\b|the\b|in\b|for\b)(them|it)?/i,
      '$1 fry $2 on the griddle',
    )
    // `Skin first`.
    .replace(/\bskin(?:[- ]side)? first\b/i, 'skin-side down first')
    // `In the same fat the ham 2 min`.
    .replace(
      /^in the same (fat|oil|pan|pot),? (?:fry )?(the [a-z]+(?: and [a-z]+)?),? (?:for )?(\d[\d-]* ?(?:minutes?|mins?))\b/i,
      'Fry $2 in the same $1 for $3',
    )
    // `12 min and 10 min of rest`.
    .replace(
      /(\d ?(?:minutes?|mins?)) and (\d+ ?(?:minutes?|mins?)) (?:of )?rest(?:ing)?\b/i,
      '$1, then leave to rest for $2',
    )
    // `While it cooks make rice: 400 g, washed, 600 ml water, covered, 12 min`.
    .replace(
      /^(?:(?:while it (?:cooks|simmers|bakes)|meanwhile),? )?(?:make|do|prepare) (?:the |some )?(rice|pasta|couscous|bulgur|quinoa|potatoes): ([^.;]*?)(?:, | for )?(?=\d[\d-]* ?(?:minutes?|mins?)\b)/i,
      'Meanwhile, cook the $1 ($2) for ',
    )
    // `Oats, nuts, seeds in big bowl`.
    .replace(
      new RegExp(
        String.raw`^([a-z]+(?:,? (?:and )?[a-z]+){1,6}) in(?:to)? (?:an? |the )?((?:big |large |small |wide )?(?:mixing )?(?:${PLACE}))(?=[.,;]|$)`,
        'i',
      ),
      (whole, what: string, where: string) =>
        what.split(/[^a-z]+/i).some(isNoFood) || !/,| and /.test(what)
          ? whole
          : `Put the ${lowerFirst(what)} in a ${where}`,
    )
    // `Then cranberries through`.
    .replace(
      /^(?:then )?(?:the )?([a-z]+(?: and [a-z]+)?) through[.\s]*$/i,
      (whole, what: string) => (isCommand(what) ? whole : `Stir in the ${lowerFirst(what)}`),
    )
    // `Out, press down`.
    .replace(/^out, (?=[a-z])/i, 'Take out, ')
    // `In with three quarters of the cheese`.
    .replace(
      /(^|, )in with (?=(?:the|three|half|all|some|a|most)\b)/i,
      (_, before: string) => `${before}${before ? 'add' : 'Add'} `,
    )
    // `35 min, stir every 10`.
    .replace(
      /^(\d[\d-]* ?(?:minutes?|mins?|hours?|hrs?)), (?=(?:stir|turn|toss|shak))/i,
      'Cook for $1, ',
    )
    // `12 min lowest, 10 min off`.
    .replace(
      /(\d+ ?(?:minutes?|mins?)) (?:on )?(?:the )?lowest(?: heat)?, (?:then )?(\d+ ?(?:minutes?|mins?)) off(?: the heat)?(?=[.;]|$)/i,
      '$1 on the lowest heat, then leave off the heat for $2',
    )
    // `180 fan, 45 min`.
    .replace(
      /^(\d{3}) ?(?:°? ?c)? ?(fan)?,? (?:for )?(?=\d[\d-]* ?(?:min|hour))/i,
      (_, heat: string, fan = '') => `Bake at ${heat}C ${fan} for `,
    )
