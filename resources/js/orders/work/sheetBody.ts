/** A file as it is sent, with what is said about it. */
export function sheetForm(file: File, said: Record<string, string>): FormData {
  const form = new FormData();
  form.append('file', file);
  for (const [name, text] of Object.entries(said)) form.append(name, text);
  return form;
}

/** A sheet as it is sent: the form is what goes; the body beside it only satisfies the description. */
export function sheetBody(file: File, seen: number) {
  return { body: { file: '', seen }, bodySerializer: () => sheetForm(file, { seen: String(seen) }) };
}
