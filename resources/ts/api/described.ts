import type { paths } from './schema.gen';

/*
 * What docs/openapi.yaml says of the application, by the paths that the page writes: `/api/studies/${study.id}/plan` is
 * "/api/studies/{study}/plan" there. Only types: nothing of it is in the page.
 */

export type Method = 'GET' | 'POST' | 'PATCH' | 'DELETE';

type Parts<Path extends string> = Path extends `${infer First}/${infer Rest}` ? [First, ...Parts<Rest>] : [Path];

/** Whether a part as it is written fits one that is described, "{study}" or "palette.{kind}" standing for anything. */
type Fits<Written, Described> = Described extends `${infer Before}{${string}}${infer After}`
    ? Written extends `${Before}${string}${After}`
        ? true
        : false
    : Written extends Described
      ? true
      : false;

type AllFit<Written, Described> = Written extends [infer W, ...infer Ws]
    ? Described extends [infer D, ...infer Ds]
        ? Fits<W, D> extends true
            ? AllFit<Ws, Ds>
            : false
        : false
    : Described extends []
      ? true
      : false;

type Bare<Path extends string> = Path extends `${infer Before}?${string}` ? Before : Path;

type Has<Path extends keyof paths, M extends Method> = paths[Path] extends Record<Lowercase<M>, object> ? true : false;

type DescribedPaths = { [Path in keyof paths]: Parts<Path> };

/** The described path that one as written is; never where there is none, or where it is not asked for so. */
type Described<Path extends string, M extends Method, Written = Parts<Bare<Path>>> = {
    [D in keyof paths]: D extends Bare<Path> ? (Has<D, M> extends true ? D : never) : never;
}[keyof paths] extends infer Exact
    ? [Exact] extends [never]
        ? {
              [D in keyof paths]: AllFit<Written, DescribedPaths[D]> extends true ? (Has<D, M> extends true ? D : never) : never;
          }[keyof paths]
        : Exact
    : never;

type Operation<Path extends string, M extends Method> =
    Described<Path, M> extends infer D ? (D extends keyof paths ? paths[D][Lowercase<M> & keyof paths[D]] : never) : never;

/** The path itself where it is described for the method; else nothing can be given for it. */
export type Known<Path extends string, M extends Method> = string extends Path
    ? never
    : [Described<Path, M>] extends [never]
      ? never
      : Path;

type Content<Response> = Response extends { content: { 'application/json': infer Json } } ? Json : undefined;

/** What comes back: the answer of a success, undefined for one without content. */
export type Answer<Path extends string, M extends Method> =
    Operation<Path, M> extends { responses: infer Responses }
        ? { [Status in keyof Responses]: Status extends 200 | 201 | 202 | 204 ? Content<Responses[Status]> : never }[keyof Responses]
        : never;

/** What is sent along as JSON. */
export type Sent<Path extends string, M extends Method> =
    Operation<Path, M> extends { requestBody?: infer Body } ? Content<NonNullable<Body>> : undefined;

/** What is asked for in the address. */
export type Query<Path extends string, M extends Method> =
    Operation<Path, M> extends { parameters: { query?: infer Asked } } ? NonNullable<Asked> : Record<string, never>;
