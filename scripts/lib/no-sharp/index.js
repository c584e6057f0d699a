/** Two dependencies name this library for pictures that nothing here makes: whoever calls it learns why it is not there. */
export default function sharp() {
  throw new Error('Splay works on no pictures: this library is left out (docs/decisions/0013).');
}
