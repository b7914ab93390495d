/** Wordings on which coaches differ: what each decides, and how each school says it. The program chooses; a grade keeps what was chosen. */
export const TECHNIQUE_SCHOOLS = {
  strike: {
    decides: 'First contact is made with',
    schools: {
      hands: 'hands inside and under, thumbs up, before the shoulder',
      shoulder: 'the near shoulder, hands after it',
    },
  },
  hat: {
    decides: 'On a man to the side the hat goes',
    schools: { outside: 'hat outside, body fits inside', 'inside number': 'hat on the inside number' },
  },
  reachStep: {
    decides: 'The first step of a reach',
    schools: {
      gain: 'gains ground to the side and a little upfield',
      drop: 'drops straight to the side, no ground given',
      lose: 'gives ground on purpose to get outside',
    },
  },
  doubleExit: {
    decides: 'A double comes off',
    schools: {
      patient: 'stay until the linebacker comes level with the man you are on',
      timed: 'come off on the third step, wherever he is',
    },
  },
  runStance: {
    decides: 'On runs the linemen start from',
    schools: {
      'three-point': 'three points, hand light on the ground',
      'two-point': 'two points, hands on the thighs',
    },
  },
} as const;
export type TechniqueSchool = keyof typeof TECHNIQUE_SCHOOLS;
type SchoolsOf<K extends TechniqueSchool> = keyof (typeof TECHNIQUE_SCHOOLS)[K]['schools'];

/** Which school a program follows in each. */
export type ChosenSchools = { readonly [K in TechniqueSchool]: SchoolsOf<K> };

/** The names of the schools of one question, the shipped one first. */
export const schoolsOf = <K extends TechniqueSchool>(question: K): [SchoolsOf<K>, ...SchoolsOf<K>[]] =>
  Object.keys(TECHNIQUE_SCHOOLS[question].schools) as [SchoolsOf<K>, ...SchoolsOf<K>[]];

/** How a school says it. */
export const sayOf = <K extends TechniqueSchool>(question: K, school: SchoolsOf<K>): string =>
  (TECHNIQUE_SCHOOLS[question].schools as Record<string, string>)[school as string]!;
