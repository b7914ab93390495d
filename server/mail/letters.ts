import { sendLetter, type Letter, type Post } from './mail';

/** Where letters go, as this server is set up. */
function post(): Post {
  const { mail } = useRuntimeConfig();
  return { server: mail.server, folder: mail.folder, from: mail.from };
}
/** The address people reach this server by. It is never taken from a request, which can claim any. */
const link = (path: string, token: string): string => `${useRuntimeConfig().address}${path}#${token}`;

const send = (letter: Letter): Promise<void> => sendLetter(post(), letter);

/** Asks somebody to join. */
export const sendInvitation = (to: string, of: { token: string; program: string; by: string }): Promise<void> =>
  send({
    to,
    subject: `${of.by} invites you to ${of.program}`,
    text: `${of.by} invites you to ${of.program} in Violet Chalk.\n\nOpen this link within two weeks:\n${link('/join', of.token)}\n\nIf you do not know what this is about, do nothing.\n`,
  });

/** Lets somebody set a new password. */
export const sendReset = (to: string, token: string): Promise<void> =>
  send({
    to,
    subject: 'A new password for Violet Chalk',
    text: `Open this link within two hours to set a new password:\n${link('/reset', token)}\n\nIf you have not asked for it, do nothing: your password stays as it is.\n`,
  });
