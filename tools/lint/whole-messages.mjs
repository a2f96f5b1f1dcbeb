// ESLint rules: what a screen says goes through $localize, whole.

const isMessage = (node) =>
  (node.type === 'TaggedTemplateExpression' && node.tag.name === '$localize') ||
  (node.type === 'CallExpression' && ['named', 'said', 'listed'].includes(node.callee.name));
const words = (text) => /\p{L}{2,}/u.test(text);
const literal = (node) => {
  if (node.type === 'Literal') return typeof node.value === 'string' ? node.value : '';
  return node.type === 'TemplateLiteral' ? node.quasis.map(({ value }) => value.cooked).join(' ') : '';
};

/** The values that an expression may have: branches of choices. */
const branches = (node) => {
  if (node.type === 'ConditionalExpression') return [...branches(node.consequent), ...branches(node.alternate)];
  if (node.type === 'LogicalExpression') return [...branches(node.left), ...branches(node.right)];
  return [node];
};

/** Text that reads as a sentence or a part of one: two words with a space between, begun with a capital or ended with a stop. */
const prose = (text) => /\p{L}{2,}[,:;]? \p{L}{2,}/u.test(text) && /^\s*[\p{Lu}“]|[.…?!]\s*$/u.test(text);
const STYLE = /^\s*(\d+ \d+px|rgb|url|\(|calc)/;
/** What only developers read: errors, tokens of dependency injection, names of events and features. */
const forDevelopers = (node) => {
  for (let at = node.parent; at; at = at.parent) {
    if (at.type === 'NewExpression' && /Error$|^InjectionToken$/.test(at.callee.name)) return true;
    if (at.type === 'CallExpression' && /^(createActionGroup|createFeature)$/.test(at.callee.name)) return true;
    if (/Import|ExportAll|TSLiteralType|Decorator/.test(at.type)) return true;
  }
  return false;
};

export default {
  rules: {
    'whole-messages': {
      meta: {
        type: 'problem',
        messages: { plain: 'A screen says this: give it to $localize, whole: `{{ text }}`.' },
        schema: [],
      },
      create(context) {
        const report = (node) =>
          context.report({ node, messageId: 'plain', data: { text: literal(node).slice(0, 60) } });
        const choice = (node) => {
          if (/ConditionalExpression|LogicalExpression/.test(node.parent.type) && node.parent.test !== node) return;
          const values = branches(node);
          if (values.some(isMessage)) values.filter((value) => words(literal(value))).forEach(report);
        };
        return {
          ConditionalExpression: choice,
          LogicalExpression: choice,
          'Literal, TemplateLiteral': (node) => {
            const text = literal(node);
            if (isMessage(node.parent) || !prose(text) || STYLE.test(text) || forDevelopers(node)) return;
            report(node);
          },
        };
      },
    },
  },
};
