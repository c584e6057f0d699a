// Everything that Splay says, read out of its source: what `npm run text` writes for a person to proofread.
import ts from 'typescript';

/** Attributes and properties that hold no text for a reader, whatever is in them. */
const NOT_TEXT =
  /^(className|class|d|points|transform|viewBox|style|fill|stroke|href|src|key|id|type|role|as|html|pattern|accept|autoComplete|rel|slot|data-.*|aria-(live|haspopup|current|controls|labelledby|describedby))$/;
/** Attributes and properties that hold text even where it is one word. */
const TEXT =
  /^(name|label|title|hint|sentence|text|words|placeholder|heading|head|unit|summary|caption|alt|short|long|aria-label|aria-description|aria-roledescription|message|why|say|says)$/;
/** Calls whose strings are for programs. */
const FOR_PROGRAMS =
  /(^|\.)(matchMedia|querySelector|querySelectorAll|closest|addEventListener|cva|clsx|RegExp|getContext|setAttribute|split|join|startsWith|endsWith|includes|replace|replaceAll|sql|raw|prepare)$/;

/** A template with a mark where a value goes. */
const templateText = (node) =>
  ts.isNoSubstitutionTemplateLiteral(node)
    ? node.text
    : node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('');

/** What a string belongs to: the name of its attribute or property, or of the call that takes it. */
function holder(node) {
  for (let at = node.parent; at; at = at.parent) {
    if (ts.isJsxAttribute(at)) return { name: at.name.getText() };
    if (ts.isPropertyAssignment(at)) return { name: at.name.getText().replaceAll(/['"]/g, '') };
    if (ts.isCallExpression(at)) return { call: at.expression.getText() };
    if (ts.isTaggedTemplateExpression(at)) return { call: at.tag.getText() };
    if (ts.isJsxElement(at) || ts.isJsxFragment(at)) return { name: 'text' };
    if (ts.isNewExpression(at)) return { error: true };
    if (ts.isImportDeclaration(at) || ts.isExportDeclaration(at) || ts.isTypeNode(at)) return { import: true };
    if (ts.isStatement(at)) return {};
  }
  return {};
}

/** Whether a string reads like text rather than a key, a class or a path. */
function reads(text, { name, call, error, import: imported }) {
  if (imported || !/\p{L}{2}/u.test(text) || /^(https?|data|node|\.{1,2}\/)/.test(text)) return false;
  if (name !== undefined && NOT_TEXT.test(name)) return false;
  if (call !== undefined && FOR_PROGRAMS.test(call)) return false;
  if (/="|^<|^\(max-width/.test(text.trim())) return false;
  if (
    /^\s*(select|insert|update|delete|create|alter|with|listen|notify) /i.test(text) &&
    /[()=*"]|\b(from|into|table)\b/.test(text)
  )
    return false;
  if (error) return / /.test(text);
  const words = text.trim().split(/\s+/);
  // Classes: words that are joined by hyphens, colons and brackets.
  if (
    words.length > 1 &&
    words.filter((word) => /^[a-z0-9:[\]/.%()_-]*[-:[][a-z0-9:[\]/.%()_-]+$/.test(word)).length >= words.length / 2
  )
    return false;
  if (words.length > 1) return true;
  return name !== undefined && TEXT.test(name) && /^\p{L}[\p{L}’'-]*[.:?]?$/u.test(text.trim());
}

/** What stands between two tags, as one sentence. */
const sentence = (children) =>
  children
    .map((child) => (ts.isJsxText(child) ? child.text.replace(/\s*\n\s*/g, '\n') : blank(child) ? ' ' : '…'))
    .join('');
/** `{' '}`, and remarks. */
const blank = (child) =>
  ts.isJsxExpression(child) &&
  (!child.expression || (ts.isStringLiteral(child.expression) && child.expression.text === ' '));

/** An Astro page as a screen: its template in a fragment, without what only HTML has. */
const screenOfPage = (code) =>
  `<>${code.replace(/^---[\s\S]*?\n---/, '').replace(/<!doctype[^>]*>|<!--[\s\S]*?-->|<(script|style)[\s\S]*?<\/\1>/gi, '')}</>`;

/**
 * The text of a file, in its order, each piece once; `…` stands where a value goes.
 *
 * @param path Name of the file; `.tsx` is read as a screen.
 * @param code What is in it.
 */
export function textOf(path, code) {
  const kind = path.endsWith('.ts') ? ts.ScriptKind.TS : ts.ScriptKind.TSX;
  const read = path.endsWith('.astro') ? screenOfPage(code) : code;
  const source = ts.createSourceFile(path, read, ts.ScriptTarget.Latest, true, kind);
  const found = new Set();
  const add = (text) => found.add(text.replaceAll(/\s+/g, ' ').trim());
  const visit = (node) => {
    if (ts.isJsxElement(node) || ts.isJsxFragment(node)) {
      if (node.children.some((child) => ts.isJsxText(child) && /\p{L}/u.test(child.text))) add(sentence(node.children));
    } else if (ts.isStringLiteral(node) || ts.isTemplateExpression(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      const text = ts.isStringLiteral(node) ? node.text : templateText(node);
      if (reads(text, holder(node))) add(text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return [...found];
}
