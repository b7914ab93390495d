/** The first steps of a program, in their order; each can be left out, and is changed later where it says. */
export const STEPS = [
  { id: 'play', name: 'What you play', later: { to: '/team', name: 'Team, Our ways' } },
  { id: 'see', name: 'How you see a front', later: { to: '/team', name: 'Team, Our ways' } },
  { id: 'words', name: 'Your words at the line', later: { to: '/team/words', name: 'Team, Our words' } },
  { id: 'plays', name: 'What you run', later: { to: '/rules', name: 'Rules' } },
  { id: 'men', name: 'Your men', later: { to: '/team/roster', name: 'Team, Roster' } },
  { id: 'grade', name: 'How you grade', later: { to: '/book/grading', name: 'Book, How we grade' } },
  { id: 'opponent', name: 'Your next opponent', later: { to: '/team/season', name: 'Team, Season' } },
] as const;
export type StepId = (typeof STEPS)[number]['id'];
