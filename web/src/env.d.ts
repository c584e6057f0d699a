declare namespace App {
  interface Locals {
    member: import('./server/db/shop.ts').Member | null;
    /** The session of who is signed in. */
    session: string | null;
    /** The origin under which whoever sends a request reaches the server: see server/net/hosts.ts. */
    origin: string;
    /** Who sends the request: see server/net/address.ts. */
    address: string;
  }
}
