export { type Body, type BodyMass, type BodyMount, bodyProblems, newBody, seated } from './body.ts';
export { bodySchema } from './schema.ts';
