declare namespace App {
  interface Locals {
    member: import('./server/db/shop.ts').Member | null;
    /** Who sends the request: see server/net/address.ts. */
    address: string;
  }
}
