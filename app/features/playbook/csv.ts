/** What begins a formula, so that a spreadsheet would run it; a minus before a number is only a number. */
export const FORMULAE = /^(?:[=+@\t\r]|-(?!\d+(?:\.\d+)?$))/;
