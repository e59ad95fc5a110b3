/** A name in a variable may come from outside, and every object has some that nobody gave it. */
const ownKeys = {
  meta: {
    type: 'problem',
    schema: [],
    messages: { own: 'Ask Object.hasOwn: `in` finds what every object has, too.' },
  },
  create: (context) => ({
    BinaryExpression(node) {
      if (node.operator === 'in' && node.left.type !== 'Literal')
        context.report({ node, messageId: 'own' });
    },
  }),
};

/** Rules of our own, for both linters. */
export default { meta: { name: 'garnish' }, rules: { 'own-keys': ownKeys } };
