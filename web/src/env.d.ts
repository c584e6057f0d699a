declare namespace App {
  interface Locals {
    member: import('./server/db/shop.ts').Member | null;
  }
}
