import { createTransport } from 'nodemailer';
import type { GivenLink } from '../shared/people.ts';
import { env } from './env.ts';
import { log } from './log.ts';

/**
 * Mail goes out where a mail server is named (`SPLAY_SMTP_URL`); without one everything that it would carry is handed over by
 * people. Nothing else in the program needs it.
 */

/** The longest that anybody waits for the mail server, ms. */
const PATIENCE = 10_000;

type Mailed = GivenLink['mailed'];

export const NOT_MAILED: Mailed = { to: null, failed: false };

/** True where mail can go out. */
export const canMail = (): boolean => env.mail !== null;

/**
 * Mails a one-time link. That it could not be sent is told and not thrown: the link is good all the same.
 *
 * @param to The address.
 * @param about What the link is for, as the subject.
 * @param url The link.
 */
export async function mailLink(to: string, about: string, url: string): Promise<Mailed> {
  const { mail } = env;
  if (mail === null) return NOT_MAILED;
  const transport = createTransport({
    url: mail.url,
    connectionTimeout: PATIENCE,
    greetingTimeout: PATIENCE,
    socketTimeout: PATIENCE,
  });
  try {
    await transport.sendMail({
      from: mail.from,
      to,
      subject: about,
      text: `${about}\n\n${url}\n\nThe link works one time. If you did not expect it, leave it alone and tell the shop.\n`,
    });
    return { to, failed: false };
  } catch (error) {
    // Its messages name addresses: only what kind it was is logged.
    log.error({ code: (error as { readonly code?: string }).code ?? 'unknown' }, 'mail was not sent');
    return { to: null, failed: true };
  } finally {
    transport.close();
  }
}
