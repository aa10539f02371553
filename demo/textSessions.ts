/** Sessions that are made from recipe texts of different styles, each for one of the ready kitchens. */
export const TEXT_SESSIONS: { name: string; kitchen: string; texts: string[] }[] = [
  {
    name: 'A small kitchen: three pots for the week',
    kitchen: 'a-small-kitchen',
    texts: ['chilli', 'traybake', 'curry', 'bread'],
  },
  {
    name: 'Two sauces, two bakes',
    kitchen: 'one-oven-four-burners',
    texts: ['lasagne', 'meatballs', 'cookies', 'salad'],
  },
  {
    name: 'Machines at work',
    kitchen: 'two-ovens-and-many-machines',
    texts: ['soup', 'granola', 'fishcakes', 'bread', 'curry'],
  },
  {
    name: 'Overnight, and what can be done beside it',
    kitchen: 'one-oven-four-burners',
    texts: ['pulled-pork', 'salad', 'granola'],
  },
  {
    name: 'Everything that goes into the oven',
    kitchen: 'two-ovens-and-many-machines',
    texts: ['traybake', 'lasagne', 'bread', 'cookies', 'granola', 'pulled-pork'],
  },
]
