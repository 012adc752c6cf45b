import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import type { Build, Catalogue } from '@inch-tower/core';

export type BuildCard = { readonly id: string; readonly name: string; readonly etag: string; readonly updated: string; readonly build: Build };
export type Versioned = { readonly build: Build; readonly etag: string };
export type ProblemBody = { readonly code: string; readonly title: string; readonly detail: string; readonly theirs?: { readonly build: Build; readonly etag: string } };

const unquoted = (header: string | null | undefined) => header?.replace(/^W\//, '').replaceAll('"', '') ?? '';
const versioned = (build: Build, meta: { response?: Response } | undefined): Versioned => ({ build, etag: unquoted(meta?.response?.headers.get('etag')) });

/** The server, over JSON. Answers are not kept as truth: a build that is open lives in the bench. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: 15_000, responseHandler: async (response) => { const text = await response.text(); return text ? (JSON.parse(text) as unknown) : null; } }),
  tagTypes: ['Builds'],
  endpoints: (endpoint) => ({
    catalogue: endpoint.query<Catalogue, void>({ query: () => '/parts', keepUnusedDataFor: 3600 }),
    builds: endpoint.query<readonly BuildCard[], void>({ query: () => '/builds', transformResponse: (body: { builds: BuildCard[] }) => body.builds, providesTags: ['Builds'], keepUnusedDataFor: 0 }),
    build: endpoint.query<Versioned, string>({ query: (id) => `/builds/${encodeURIComponent(id)}`, transformResponse: versioned, keepUnusedDataFor: 0 }),
    createBuild: endpoint.mutation<Versioned, Build>({ query: (build) => ({ url: '/builds', method: 'POST', body: build }), transformResponse: versioned, invalidatesTags: ['Builds'] }),
    saveBuild: endpoint.mutation<Versioned, Versioned>({ query: ({ build, etag }) => ({ url: `/builds/${encodeURIComponent(build.id)}`, method: 'PUT', body: build, headers: { 'if-match': `"${etag}"` } }), transformResponse: versioned, invalidatesTags: ['Builds'] }),
    deleteBuild: endpoint.mutation<null, string>({ query: (id) => ({ url: `/builds/${encodeURIComponent(id)}`, method: 'DELETE' }), invalidatesTags: ['Builds'] }),
  }),
});
export const { useCatalogueQuery, useBuildsQuery, useCreateBuildMutation, useDeleteBuildMutation } = api;

/** What went wrong, in the server's words or in ours when it did not answer. */
export function problemOf(error: unknown): ProblemBody {
  const known = error as FetchBaseQueryError | undefined;
  const data = known && 'data' in known ? (known.data as Partial<ProblemBody> | null) : null;
  if (data && typeof data === 'object' && typeof data.code === 'string') return data as ProblemBody;
  return { code: 'away', title: 'No answer', detail: 'The server does not answer.' };
}
