import type { paths } from "./generated/schema";

type Methods = "get" | "post" | "put" | "delete";

/** The names in braces of an address. */
type Names<P extends string> = P extends `${string}{${infer Name}}${infer Rest}` ? Name | Names<Rest> : never;

/** What may stand behind the question mark, by any method. */
type Search<P extends keyof paths> = {
  [M in Methods]: paths[P][M] extends { parameters: { query?: infer Query } } ? NonNullable<Query> : never;
}[Methods];

type Loose<Query> = { [Name in keyof Query]?: Query[Name] | undefined | null };

declare const checked: unique symbol;

/** An address of the API that the compiler has checked against the API's document. */
export type Address = string & { readonly [checked]: true };

type Rest<P extends keyof paths> = [Names<P>] extends [never]
  ? [values?: Record<string, never>, search?: Loose<Search<P>>]
  : [values: Record<Names<P>, string | undefined>, search?: Loose<Search<P>>];

/** Query string of what is given; undefined and empty values, and lists of nothing, are left out. */
function query(values: object): string {
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries(values)) {
    const text = value === undefined || value === null ? "" : String(value);
    if (text !== "") search.set(name, text);
  }
  const text = search.toString();
  return text ? `?${text}` : "";
}

/** The address of a path of the API with its names filled in: what the document does not know does not compile. */
export function at<P extends keyof paths>(path: P, ...[values, search]: Rest<P>): Address {
  const filled = path.replace(/\{(\w+)\}/g, (_, name: string) =>
    encodeURIComponent((values as Record<string, string | undefined>)[name] ?? ""),
  );
  return (filled + query(search ?? {})) as Address;
}
