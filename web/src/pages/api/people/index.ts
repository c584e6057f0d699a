import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../../server/http/body.ts';
import { endpoint } from '../../../server/http/endpoint.ts';
import { email, role } from '../../../server/http/person-fields.ts';
import { json, notAllowed } from '../../../server/http/problem.ts';
import { mailLink, NOT_MAILED } from '../../../server/mail.ts';
import { mustManage } from '../../../server/services/errors.ts';
import { invite, listPeople } from '../../../server/services/people.ts';
import type { GivenLink } from '../../../shared/people.ts';

const invitation = yup.object({ role: role(), email: email().optional() }).noUnknown();

export const GET = endpoint(async ({ member }) => json(await listPeople(member)));

/** Invites one person: answers with the path of a link that is shown once, and whether it went out by mail. */
export const POST = endpoint(async ({ member, request, origin }) => {
  mustManage(member);
  const sent = await readJson(request, invitation, SMALL_LIMIT);
  const path = `/join/${await invite(member, sent.role)}`;
  const mailed = sent.email
    ? await mailLink(sent.email, `Come into ${member.shopName}, as ${sent.role}`, origin + path)
    : NOT_MAILED;
  return json({ path, mailed } satisfies GivenLink, 201);
});

export const ALL = notAllowed('GET, POST');
