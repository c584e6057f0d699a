import type { APIRoute } from 'astro';
import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../server/http/body.ts';
import { email, newPassword, personName, shopName } from '../../server/http/person-fields.ts';
import { json, notAllowed, problem, problemOf } from '../../server/http/problem.ts';
import { createFirstShop, noShopYet } from '../../server/services/shops.ts';

const setUp = yup.object({ shop: shopName(), name: personName(), email: email(), password: newPassword() }).noUnknown();

const done = () => problem(403, 'set-up/done', 'This program has been set up already: sign in.');

/** Makes the first shop and its owner on an empty database; closed from then on. */
export const POST: APIRoute = async ({ request }) => {
  try {
    if (!(await noShopYet())) return done();
    const { shop, ...owner } = await readJson(request, setUp, SMALL_LIMIT);
    const made = await createFirstShop({ name: shop }, [{ ...owner, role: 'owner' }]);
    return made === null ? done() : json({ ok: true }, 201);
  } catch (error) {
    return problemOf(error, 'set-up');
  }
};

export const ALL = notAllowed('POST');
