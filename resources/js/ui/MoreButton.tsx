import { Button } from 'antd'
import type { Listed } from '../api/pages'

/** The way to the next page of a list, where there is one. */
export const MoreButton = ({ list, words }: { list: Listed<unknown>; words: string }) =>
  list.more === null ? null : (
    <Button size="small" loading={list.fetchingMore} onClick={list.more}>
      {words}
    </Button>
  )
