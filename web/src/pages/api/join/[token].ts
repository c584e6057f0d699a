import type { APIRoute } from 'astro';
import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../server/http/body.ts';
import { email, newPassword, personName } from '../../../server/http/person-fields.ts';
import { json, notAllowed, problemOf } from '../../../server/http/problem.ts';
import { linkOf, takeLink } from '../../../server/services/people.ts';
import { NotFound } from '../../../server/services/errors.ts';

const invited = yup.object({ name: personName(), email: email(), password: newPassword() }).noUnknown();
const resetting = yup.object({ password: newPassword() }).noUnknown();

/** Uses a one-time link up: joins the shop, or takes the new password. */
export const POST: APIRoute = async ({ request, params }) => {
  try {
    const token = params.token ?? '';
    const link = await linkOf(token);
    if (!link) throw new NotFound();
    await takeLink(token, await readJson(request, link.kind === 'invitation' ? invited : resetting, SMALL_LIMIT));
    return json({}, 201);
  } catch (error) {
    return problemOf(error, 'join');
  }
};

export const ALL = notAllowed('POST');
