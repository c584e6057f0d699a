import type { APIRoute } from 'astro';
import * as yup from 'yup';
import { readJson, SMALL_LIMIT } from '../../server/http/body.ts';
import { json, problem, problemOf } from '../../server/http/problem.ts';
import { createShop, noShopYet } from '../../server/services/shops.ts';

const setUp = yup
  .object({
    shop: yup.string().strict().trim().required('Name the shop.').max(120),
    name: yup.string().strict().trim().required('Say what you are called.').max(60),
    email: yup.string().strict().required('Give an e-mail address.').email('That is not an e-mail address.'),
    password: yup.string().strict().required('Choose a password.').min(10, 'Take 10 characters or more.').max(120),
  })
  .noUnknown();

/** Makes the first shop and its owner on an empty database; closed from then on. */
export const POST: APIRoute = async ({ request }) => {
  try {
    if (!(await noShopYet())) return problem(403, 'set-up/done', 'This program has been set up already: sign in.');
    const { shop, ...owner } = await readJson(request, setUp, SMALL_LIMIT);
    await createShop(shop, [{ ...owner, role: 'owner' }]);
    return json({ ok: true }, 201);
  } catch (error) {
    return problemOf(error, 'set-up');
  }
};
