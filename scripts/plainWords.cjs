/** Words of the project's old dialect, which plain modern English replaces; each is a whole word or phrase. */
const OLD_WORDS =
  /\b(lack(s|ed|ing)?|mend(s|ed|ing)?|heed(s|ed)?|reckon(s|ed)?|thus|whoever|whosoever|anew|nought|greatest|fewest|told|tells|lies|stands|schools?(?!-)|parked|at the (least|most)|all the same|for good|(put|set|puts|sets) aside|taken up|slipping faces?|design estimates?|stand-ins?|stands? in|goes along|put right|says of|said of|taken for|wished?)\b/i;

/** `takeUpSpeed` and `TAKE_UP` as "take up speed" and "take up". */
const spaced = (name) => name.replace(/([a-z0-9])([A-Z])/g, '$1 $2').replaceAll('_', ' ');

/** Refuses the old words in strings, comments, JSX text and declared names. */
module.exports = {
  meta: { type: 'suggestion', schema: [] },
  create(context) {
    const check = (node, text) => {
      const found = OLD_WORDS.exec(text)?.[0];
      if (found) context.report({ node, message: `Say it in plain words: not "${found}".` });
    };
    const declared = (node) => {
      if (node?.type === 'Identifier') check(node, spaced(node.name));
    };
    return {
      Program: () =>
        context.sourceCode.getAllComments().forEach((comment) => check(comment, comment.value)),
      Literal: (node) => typeof node.value === 'string' && check(node, node.value),
      TemplateElement: (node) => check(node, node.value.cooked ?? ''),
      JSXText: (node) => check(node, node.value),
      VariableDeclarator: ({ id }) => declared(id),
      FunctionDeclaration: ({ id }) => declared(id),
      TSInterfaceDeclaration: ({ id }) => declared(id),
      TSTypeAliasDeclaration: ({ id }) => declared(id),
      TSPropertySignature: ({ key }) => declared(key),
    };
  },
};
