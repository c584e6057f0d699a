// ESLint rule: words that this project does not write, in names, comments, text and file names, each with what to write instead.

/** Not written, and what is. Whole words in any case; a word of a name in camelCase counts as a word. */
const INSTEAD = {
  tyre: 'tire',
  tyres: 'tires',
  centre: 'center',
  centres: 'centers',
  centred: 'centered',
  colour: 'color',
  colours: 'colors',
  grey: 'gray',
  aluminium: 'aluminum',
  metre: 'meter',
  metres: 'meters',
  millimetre: 'millimeter',
  calliper: 'caliper',
  levelled: 'leveled',
  labelled: 'labeled',
  vapour: 'vapor',
  neighbour: 'neighbor',
  neighbours: 'neighbors',
  neighbouring: 'neighboring',
  judgement: 'judgment',
  bevelled: 'beveled',
  favour: 'favor',
  behaviour: 'behavior',
  spanner: 'wrench',
  kerb: 'curb',
  kerbs: 'curbs',
  towards: 'toward',
  afterwards: 'afterward',
  mitred: 'mitered',
  practise: 'practice',
  practising: 'practicing',
  anew: 'again',
  reckon: 'calculate',
  reckoned: 'calculated',
  reckoning: 'calculation',
  foremost: 'front or first',
  rearmost: 'rear or last',
  gearbox: 'transmission',
  touchy: 'sensitive',
  fate: 'status',
  footing: 'stability',
  burden: 'load',
  burdens: 'loads',
  judging: 'context',
  propping: 'shoring',
};

/** Keys of stored jobs and records, which keep their names. */
const STORED = /^gearbox-mount$/;

const NAME_OR_WORD = /[A-Za-z_][\w-]*/g;
const words = (text) =>
  (text.match(NAME_OR_WORD) ?? [])
    // Names with underscores are columns and reference data of others.
    .filter((name) => !STORED.test(name) && !name.includes('_'))
    .flatMap((name) => name.split(/-|(?<=[a-z])(?=[A-Z])/));

/** The first word of a text that is not written here, and what is; null without one. */
export const unwritten = (text) => {
  const found = words(text).find((word) => Object.hasOwn(INSTEAD, word.toLowerCase()));
  return found ? { word: found, instead: INSTEAD[found.toLowerCase()] } : null;
};

export const plainWords = {
  meta: { type: 'suggestion', messages: { word: 'Write “{{instead}}”, not “{{word}}”.' }, schema: [] },
  create(context) {
    const look = (node, text) => {
      const data = unwritten(text);
      if (data) context.report({ node, messageId: 'word', data });
    };
    return {
      Program(node) {
        look(node, context.filename.split(/[\\/]/).at(-1) ?? '');
        for (const comment of context.sourceCode.getAllComments()) {
          const data = unwritten(comment.value);
          if (data) context.report({ loc: comment.loc, messageId: 'word', data });
        }
      },
      Identifier: (node) => look(node, node.name),
      JSXText: (node) => look(node, node.value),
      TemplateElement: (node) => look(node, node.value.raw),
      Literal: (node) => {
        if (typeof node.value === 'string') look(node, node.value);
      },
    };
  },
};
