/** The form that a request carries; an empty one where it carries something else. */
export const formOf = (request: Request): Promise<FormData> => request.formData().catch(() => new FormData());
