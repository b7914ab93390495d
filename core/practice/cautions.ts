import { CONTACTS, isContact, type Drill } from '../model/drill';

/** What to be careful with in drills. No rule and no medical advice: the local rule book, the governing body and licensed people decide. */
export const PRACTICE_CAUTIONS = {
  heads:
    'Heads up and out of it: shoulders and hands meet, never the helmet. At any sign of concussion he stops, and your return protocol holds.',
  chute: 'One man at a time under the chute, and nobody meets anybody at full speed in it.',
  sled: 'Nobody on the sled without a coach beside it; look it over first.',
  distance: 'So far apart that no pair can fall into another; sticks and bags out of the way.',
  size: 'Matched for size, one pair at a time.',
  low: 'Low only where your rule book allows it, on a bag and never on a man in practice.',
  legs: 'Whistle before anybody falls on the back of a leg.',
  blind: 'He must see it coming: shoulder in front, never from behind.',
} as const;
export type PracticeCaution = keyof typeof PRACTICE_CAUTIONS;
export const isCaution = (id: string): id is PracticeCaution => Object.hasOwn(PRACTICE_CAUTIONS, id);

/** Shown wherever contact, heat or minutes are planned. */
export const LIMITS_ARE_YOURS =
  'Contact, heat and rest: the numbers are those you enter. Your governing body, your rule book and licensed people set them; none of them is ours.';

/** What to say beside a drill: its own cautions, and that heads are out of everything in which men meet. */
export function cautionsOfDrill({ cautions, contact }: Pick<Drill, 'cautions' | 'contact'>): string[] {
  const ids = isContact(contact) ? ['heads', ...cautions] : cautions;
  return [...new Set(ids)].filter(isCaution).map((id) => PRACTICE_CAUTIONS[id]);
}

/** "thud, shoulder pads or more": how hard it is and what has to be worn at least. */
export const sayContact = (contact: Drill['contact']): string =>
  CONTACTS[contact].gear === 'nothing'
    ? CONTACTS[contact].name
    : `${CONTACTS[contact].name}, ${CONTACTS[contact].gear} or more`;
