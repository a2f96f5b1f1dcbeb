const isText = (node: Node | undefined): boolean => node?.nodeType === Node.TEXT_NODE;

/** What stands in an element, as a reader hears it: words of different elements never run together. */
export const textOf = (element: Node | null): string => {
  if (element?.nodeType === Node.TEXT_NODE) return (element.textContent ?? '').replace(/\s+/g, ' ');
  const children = [...(element?.childNodes ?? [])].filter(({ nodeType }) => nodeType !== Node.COMMENT_NODE);
  return children
    .map(
      (child, index) => `${index === 0 || (isText(child) && isText(children[index - 1])) ? '' : ' '}${textOf(child)}`,
    )
    .join('')
    .replace(/\s+/g, ' ')
    .trim();
};
