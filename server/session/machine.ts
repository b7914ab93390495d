import Bowser from 'bowser';

/** What a browser says it is, in a few words a person knows his own machine by. */
export function machineOf(agent: string | undefined): string {
  if (!agent) return 'a program';
  const { browser, os } = Bowser.parse(agent.slice(0, 400));
  return [browser.name, os.name && `on ${os.name}`].filter(Boolean).join(' ') || 'a browser';
}
