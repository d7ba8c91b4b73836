/** Types a text as a hand does, so that whoever listens to the field hears it. */
export function typeInto(field: HTMLInputElement | HTMLTextAreaElement, value: string): void {
  const kind = field instanceof HTMLInputElement ? HTMLInputElement : HTMLTextAreaElement;
  const { selectionStart: from, selectionEnd: to } = field;
  // The code that watches the property is told of another text first, or it would take this one for one that it knows.
  field.value = `${value} `;
  Object.getOwnPropertyDescriptor(kind.prototype, 'value')?.set?.call(field, value);
  // Where the next letter goes stays as it is; a field of another kind (an address, a number) does not say where.
  if (from !== null && to !== null) field.setSelectionRange(from, to);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
