import { useInfiniteQuery, keepPreviousData } from '@tanstack/react-query'
import { page, type Answer, type Paged } from './client'

type Entry<P extends Paged> = Answer<'GET', P> extends { items: (infer T)[] } ? T : never
type Page<T> = { items: T[]; next: string | null; total?: number | null }

/** A list that comes page by page, as far as it was asked for. */
export type Listed<T> = {
  items: T[] | undefined
  /** how many there are in all, where the server tells */
  total: number | null
  /** fetches the next page; null where this is all */
  more: (() => void) | null
  fetchingMore: boolean
  error: Error | null
}

/** @param query what is asked besides the page */
export function usePages<P extends Paged>(
  key: readonly unknown[],
  path: P,
  names: Record<string, string>,
  query: Record<string, string> = {},
  enabled = true,
): Listed<Entry<P>> {
  const list = useInfiniteQuery({
    queryKey: [...key, query],
    queryFn: async ({ pageParam, signal }): Promise<Page<Entry<P>>> => page(path, names, { ...query, cursor: pageParam }, signal),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.next,
    placeholderData: keepPreviousData,
    enabled,
  })
  return {
    items: list.data?.pages.flatMap((page) => page.items),
    total: list.data?.pages[0]?.total ?? null,
    more: list.hasNextPage ? () => void list.fetchNextPage() : null,
    fetchingMore: list.isFetchingNextPage,
    error: list.error,
  }
}
