import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { tellKeyWanted } from './keyWanted';
import { parseBuild } from '@inch-tower/core';
import type {
  Archetype,
  Build,
  Card,
  Catalogue,
  Sheet,
  StockClaim,
  StockEntry,
  UnreadablePart,
} from '@inch-tower/core';

/**
 * A machine on the first page. `card` is what the server worked out of it: null while it still does, or what kept it
 * from it.
 */
export type BuildCard = {
  readonly id: string;
  readonly name: string;
  readonly etag: string;
  readonly updated: string;
  readonly card: Card | { readonly failed: string } | null;
};
export type BuildPage = { readonly total: number; readonly builds: readonly BuildCard[] };
export type PageAsk = { readonly search: string; readonly limit: number };
/** The catalogue, with the ids of a builder's own sheets and archetypes. */
export type OwnedCatalogue = Catalogue & {
  readonly own: readonly string[];
  /** Parts that are kept but cannot be read, and why. */ readonly unreadable: readonly UnreadablePart[];
};
export type Stocked = { readonly entry: StockEntry; readonly etag: string };
export type Stock = { readonly stock: readonly Stocked[]; readonly claims: readonly StockClaim[] };
export type Versioned = { readonly build: Build; readonly etag: string };
export type ProblemBody = {
  readonly code: string;
  readonly title: string;
  readonly detail: string;
  readonly theirs?: { readonly build: Build; readonly etag: string };
};

const unquoted = (header: string | null | undefined) => header?.replace(/^W\//, '').replaceAll('"', '') ?? '';
const versioned = (build: Build, meta: { response?: Response } | undefined): Versioned => ({
  build,
  etag: unquoted(meta?.response?.headers.get('etag')),
});

/** A machine as the server keeps it, of whatever format, in the newest; what cannot be read is said. */
export function newest(raw: unknown): { readonly data: Build } | { readonly error: FetchBaseQueryError } {
  const parsed = parseBuild(raw);
  if (parsed.ok) return { data: parsed.build };
  const problem: ProblemBody = { code: parsed.code, title: 'Cannot be read', detail: parsed.words };
  return { error: { status: 'CUSTOM_ERROR', error: parsed.words, data: problem } };
}

/** The server, over JSON. Answers are not kept as truth: a build that is open lives in the bench. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({
    baseUrl: '/api',
    timeout: 15_000,
    headers: { 'x-inch-tower': '1' },
    responseHandler: async (response) => {
      if (response.status === 401) tellKeyWanted();
      const text = await response.text();
      return text ? (JSON.parse(text) as unknown) : null;
    },
  }),
  tagTypes: ['Builds', 'Parts', 'Stock'],
  endpoints: (endpoint) => ({
    catalogue: endpoint.query<OwnedCatalogue, void>({
      query: () => '/parts',
      providesTags: ['Parts'],
      keepUnusedDataFor: 3600,
    }),
    saveSheet: endpoint.mutation<Sheet, { readonly sheet: Sheet; readonly madeOn: number }>({
      query: (body) => ({ url: `/parts/${encodeURIComponent(body.sheet.id)}`, method: 'PUT', body }),
      invalidatesTags: (_done, error) => (error ? [] : ['Parts']),
    }),
    importSheets: endpoint.mutation<
      { readonly taken: number },
      { readonly sheets: readonly Sheet[]; readonly archetypes: readonly Archetype[] }
    >({
      query: (body) => ({ url: '/parts', method: 'POST', body }),
      invalidatesTags: (_done, error) => (error ? [] : ['Parts']),
    }),
    deleteSheet: endpoint.mutation<null, string>({
      query: (id) => ({ url: `/parts/${encodeURIComponent(id)}`, method: 'DELETE' }),
      invalidatesTags: (_done, error) => (error ? [] : ['Parts']),
    }),
    stock: endpoint.query<Stock, void>({ query: () => '/stock', providesTags: ['Stock'], keepUnusedDataFor: 0 }),
    saveEntry: endpoint.mutation<StockEntry, { readonly entry: StockEntry; readonly etag: string | null }>({
      query: ({ entry, etag }) => ({
        url: `/stock/${encodeURIComponent(entry.id)}`,
        method: 'PUT',
        body: entry,
        headers: etag ? { 'if-match': `"${etag}"` } : {},
      }),
      invalidatesTags: ['Stock'],
    }),
    addStock: endpoint.mutation<
      { readonly taken: number },
      { readonly entries: readonly StockEntry[]; readonly sheets: readonly Sheet[] }
    >({
      query: (body) => ({ url: '/stock', method: 'POST', body }),
      invalidatesTags: (_done, error) => (error ? [] : ['Stock', 'Parts']),
    }),
    deleteEntry: endpoint.mutation<null, { readonly id: string; readonly etag: string }>({
      query: ({ id, etag }) => ({
        url: `/stock/${encodeURIComponent(id)}`,
        method: 'DELETE',
        headers: { 'if-match': `"${etag}"` },
      }),
      invalidatesTags: ['Stock'],
    }),
    builds: endpoint.query<BuildPage, PageAsk>({
      query: ({ search, limit }) => ({ url: '/builds', params: { search, limit } }),
      providesTags: ['Builds'],
      keepUnusedDataFor: 0,
    }),
    wholeBuild: endpoint.query<Build, string>({
      queryFn: async (id, _api, _options, ask) => {
        const read = await ask(`/builds/${encodeURIComponent(id)}`);
        return read.error ? { error: read.error } : newest(read.data);
      },
      keepUnusedDataFor: 0,
    }),
    createBuild: endpoint.mutation<Versioned, Build>({
      query: (build) => ({ url: '/builds', method: 'POST', body: build }),
      transformResponse: versioned,
      invalidatesTags: ['Builds'],
    }),
    deleteBuild: endpoint.mutation<null, { readonly id: string; readonly etag: string }>({
      query: ({ id, etag }) => ({
        url: `/builds/${encodeURIComponent(id)}`,
        method: 'DELETE',
        headers: { 'if-match': `"${etag}"` },
      }),
      invalidatesTags: ['Builds'],
    }),
  }),
});
export const {
  useCatalogueQuery,
  useBuildsQuery,
  useLazyWholeBuildQuery,
  useCreateBuildMutation,
  useDeleteBuildMutation,
  useSaveSheetMutation,
  useImportSheetsMutation,
  useDeleteSheetMutation,
  useStockQuery,
  useSaveEntryMutation,
  useAddStockMutation,
  useDeleteEntryMutation,
} = api;

/** What went wrong, in the server's words or in ours when it did not answer. */
export function problemOf(error: unknown): ProblemBody {
  const known = error as FetchBaseQueryError | undefined;
  const data = known && 'data' in known ? (known.data as Partial<ProblemBody> | null) : null;
  if (data && typeof data === 'object' && typeof data.code === 'string') return data as ProblemBody;
  return { code: 'away', title: 'No answer', detail: 'The server does not answer.' };
}
