import { expect } from 'vitest';

/** The cookies of somebody signed in at a server. */
export async function signInAt(base: string, email: string, password: string): Promise<string> {
  const answer = await fetch(`${base}/api/auth/sign-in/email`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ email, password }),
  });
  expect(answer.status).toBe(200);
  return answer.headers
    .getSetCookie()
    .map((cookie) => cookie.split(';')[0])
    .join('; ');
}
