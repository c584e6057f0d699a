/** The made-up demo shop. Its accounts are open to whoever runs the program with demo data. */
export const DEMO_SHOP = 'Windrow Lane Frameworks';

export const DEMO_PEOPLE = [
  { name: 'owner', email: 'owner@windrow-lane.example', password: 'windrow-lane', role: 'owner' },
  { name: 'fabricator', email: 'fabricator@windrow-lane.example', password: 'windrow-lane', role: 'fabricator' },
  { name: 'welder', email: 'welder@windrow-lane.example', password: 'windrow-lane', role: 'welder' },
  { name: 'reviewer', email: 'reviewer@windrow-lane.example', password: 'windrow-lane', role: 'reviewer' },
] as const;
