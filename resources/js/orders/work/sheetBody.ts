/** A sheet as it is sent: the form is what goes; the body beside it only satisfies the description. */
export function sheetBody(file: File, seen: number) {
  const form = new FormData();
  form.append('file', file);
  form.append('seen', String(seen));
  return { body: { file: '', seen }, bodySerializer: () => form };
}
