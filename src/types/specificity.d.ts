declare module '@bramus/specificity' {
  export interface Specificity {
    toObject(): { readonly a: number; readonly b: number; readonly c: number };
  }
  const api: { calculate(selector: string): Specificity[] };
  export default api;
}
