/** A name as it stands within a sentence: its first letter small where it begins a word ("over, Mike in the A gap"; but "GT counter", "A gap over"). */
export const inSentence = (name: string): string =>
  /^\p{Lu}\p{Ll}/u.test(name) ? name[0]!.toLowerCase() + name.slice(1) : name;
