/**
 * Types into a field as an instrument with a keyboard interface does: its letters one after the other, then Enter. The field's own
 * listeners take it for a person.
 */
export function typeAsWedge(field: HTMLInputElement, text: string): void {
  field.focus();
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")?.set;
  for (const letter of text) {
    field.dispatchEvent(new KeyboardEvent("keydown", { key: letter, bubbles: true }));
    set?.call(field, field.value + letter);
    field.dispatchEvent(new InputEvent("input", { data: letter, inputType: "insertText", bubbles: true }));
  }
  const enter = new KeyboardEvent("keydown", { key: "Enter", bubbles: true, cancelable: true });
  // Where nobody takes the Enter for itself, it sends the form.
  setTimeout(() => {
    if (field.dispatchEvent(enter)) field.form?.requestSubmit();
  });
}
