declare namespace App {
  interface Locals {
    member: import('./server/db/shop.ts').Member | null;
    /** The session of who is signed in. */
    session: string | null;
    /** Who sends the request: see server/net/address.ts. */
    address: string;
  }
}
