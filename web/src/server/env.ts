/** Settings that the server reads from its environment, each in one place. */
export const env = {
  get databaseUrl(): string {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set: start with `npm start`, or set it to a PostgreSQL address.');
    return url;
  },
  get secret(): string {
    const secret = process.env.BETTER_AUTH_SECRET;
    if (!secret)
      throw new Error('BETTER_AUTH_SECRET is not set: start with `npm start`, or set it to a long random text.');
    return secret;
  },
  /** True when the demo shop may be opened with one press. */
  get demo(): boolean {
    return process.env.SPLAY_DEMO === '1';
  },
  /** Only tests switch the sign-in limiter off. */
  get limitSignIn(): boolean {
    return process.env.SPLAY_SIGN_IN_LIMIT !== 'off';
  },
};
