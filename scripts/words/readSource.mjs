// Finds the texts of the sources that a person may read: what stands in JSX, and strings that look like words of a sentence.
import fs from 'node:fs'
import path from 'node:path'
import ts from 'typescript'

/** Attributes whose strings are for the program. */
const silentAttributes = new Set([
  'className', 'd', 'data-kind', 'data-shape', 'data-testid', 'fill', 'form', 'href', 'htmlFor', 'id', 'key', 'kind', 'preserveAspectRatio', 'role',
  'shape', 'slot', 'stroke', 'strokeDasharray', 'style', 'to', 'transform', 'type', 'viewBox', 'xmlns',
]) // prettier-ignore
/** Attributes that are read aloud or shown, whatever their text looks like. */
const visibleAttributes = new Set([
  'alt',
  'aria-label',
  'heading',
  'label',
  'note',
  'placeholder',
  'reference',
  'title',
  'words',
])
/** Calls whose texts go to people who write programs. */
const silentCalls = new Set([
  'assert',
  'present',
  'query',
  'unreachable',
  'matchMedia',
  'querySelector',
  'querySelectorAll',
  'closest',
])

const nameOf = (call) =>
  ts.isIdentifier(call.expression)
    ? call.expression.text
    : ts.isPropertyAccessExpression(call.expression)
      ? call.expression.name.text
      : ''

/** Texts of a template, with `{}` where a value is put in. */
const ofTemplate = (node) => node.head.text + node.templateSpans.map((span) => `{}${span.literal.text}`).join('')

const textOf = (node) => (ts.isTemplateExpression(node) ? ofTemplate(node) : node.text)
const joined = (text) => text.replace(/\s+/g, ' ').trim()

const isText = (node) =>
  ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isTemplateExpression(node)

/** Why a string is not for people: its place in the program. */
function isSilent(node) {
  const { parent } = node
  if (!parent) return true
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isExternalModuleReference(parent))
    return true
  if (ts.isLiteralTypeNode(parent) || ts.isElementAccessExpression(parent) || ts.isCaseClause(parent)) return true
  if (ts.isTaggedTemplateExpression(parent)) return true
  if (ts.isPropertyAssignment(parent) && parent.name === node) return true
  if (ts.isPropertySignature(parent) || ts.isEnumMember(parent)) return true
  if (ts.isBinaryExpression(parent) && /^[!=]==?$/.test(parent.operatorToken.getText())) return true
  if (ts.isJsxAttribute(parent)) return silentAttributes.has(parent.name.getText())
  if (ts.isNewExpression(parent) && /Error$/.test(parent.expression.getText())) return true
  if (ts.isCallExpression(parent)) return silentCalls.has(nameOf(parent))
  // of a pair of a value and its words the value
  if (ts.isArrayLiteralExpression(parent) && parent.elements.length === 2 && parent.elements.every(isText))
    return parent.elements[0] === node
  return false
}

/** Whether a text has the look of words: two of them beside each other, or one that begins like a sentence. */
const looksSpoken = (text) =>
  /[A-Za-z’]{2,}[,;:.]? [a-z(“]/.test(text) ||
  /^[“A-Z][a-z]+/.test(text) ||
  /[a-z]\.$/.test(text) ||
  /^\{\} [a-z]{3}/.test(text)

/** A single small word is for people where it is a value under a name of one, or stands in JSX. */
const spokenNames = /^(label|title|text|words?|name|heading|note|unit|sentence|of|said|what|plural|column)$/
function wordOf(node) {
  const { parent } = node
  if (ts.isPropertyAssignment(parent)) return spokenNames.test(parent.name.getText())
  if (ts.isJsxExpression(parent)) return !ts.isJsxAttribute(parent.parent)
  if (ts.isConditionalExpression(parent)) return wordOf(parent)
  return false
}

const isSpoken = (node) =>
  (ts.isJsxAttribute(node.parent) && visibleAttributes.has(node.parent.name.getText())) ||
  looksSpoken(textOf(node)) ||
  wordOf(node)

/**
 * The label and the accessible name of an element where the name does not contain the label (WCAG 2.5.3), as far as both stand in the
 * source; undefined where all is well.
 */
function nameApart(node) {
  const attribute = node.openingElement.attributes.properties.find(
    (one) => ts.isJsxAttribute(one) && one.name.getText() === 'aria-label',
  )
  const value = attribute?.initializer
  const given = value && ts.isJsxExpression(value) ? value.expression : value
  const texts = node.children.filter((child) => !ts.isJsxText(child) || child.text.trim() !== '')
  if (!given || !isText(given) || texts.length === 0 || !texts.every(ts.isJsxText)) return undefined
  const [name, label] = [textOf(given), texts.map(({ text }) => joined(text)).join(' ')]
  return /[A-Za-z]/.test(label) && !name.toLowerCase().includes(label.toLowerCase()) ? { name, label } : undefined
}

/** Whether a text is said in the words of the family in use: it stands in a call of `inWords`. */
function isWorded(node) {
  for (let at = node.parent; at; at = at.parent) if (ts.isCallExpression(at) && nameOf(at) === 'inWords') return true
  return false
}

/** Of a file of TypeScript every visible text, and where an accessible name does not contain its label; each with its line. */
export function readSource(root, file) {
  const source = fs.readFileSync(path.join(root, file), 'utf8')
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, kind)
  const [texts, apart] = [[], []]
  const at = (node) => ({ file, line: tree.getLineAndCharacterOfPosition(node.getStart()).line + 1 })
  const add = (node, text) => {
    const words = joined(text)
    if (/[A-Za-z]/.test(words)) texts.push({ ...at(node), text: words, worded: isWorded(node) })
  }
  const visit = (node) => {
    if (ts.isJsxText(node)) add(node, node.text)
    else if (isText(node) && !isSilent(node) && isSpoken(node)) add(node, textOf(node))
    else if (ts.isJsxElement(node)) {
      const found = nameApart(node)
      if (found) apart.push({ ...at(node), ...found })
    }
    ts.forEachChild(node, visit)
  }
  visit(tree)
  return { texts, apart }
}
