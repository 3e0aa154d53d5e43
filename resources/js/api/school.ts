/** People, classes, work that is given, the day and the class board. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { call, type Answer, type Body } from './client'
import { usePages } from './pages'
import { keys } from './queries'

export type NewPerson = Body<'POST', '/api/start'>
export type Invited = Answer<'GET', '/api/join/{token}'>
export type Group = Answer<'GET', '/api/groups'>[number]
export type Assignment = Answer<'POST', '/api/assignments'>[number]
export type GivenWork = Body<'POST', '/api/assignments'>
export type ClassRow = Answer<'GET', '/api/class'>[number]
export type Day = Answer<'GET', '/api/day'>
export type DayItem = Day['items'][number]

const school = {
  class: ['class'] as const,
  groups: ['groups'] as const,
  invitations: ['invitations'] as const,
  assignments: (student: number) => ['assignments', student] as const,
}

export const useStart = () => useQuery({ queryKey: ['start'], queryFn: () => call('GET', '/api/start', {}), retry: false })

export const useInvited = (token: string) =>
  useQuery({ queryKey: ['join', token], queryFn: () => call('GET', '/api/join/{token}', { path: { token } }), retry: false })

export const useClass = () => useQuery({ queryKey: school.class, queryFn: () => call('GET', '/api/class', {}) })

export const useGroups = () => useQuery({ queryKey: school.groups, queryFn: () => call('GET', '/api/groups', {}) })

export const useInvitations = () => useQuery({ queryKey: school.invitations, queryFn: () => call('GET', '/api/invitations', {}) })

export const useRecords = () => usePages(['records'], '/api/records', {}, {})

export const useAssignments = (student: number) =>
  useQuery({ queryKey: school.assignments(student), queryFn: () => call('GET', '/api/assignments', { query: { student } }) })

/**
 * @param minutes there are, and the loudness in dB(A): the usual where null
 * @param played  minutes that were played today already
 */
export const useDay = (minutes: number | null, hurts: boolean, level: number | null, played: number) =>
  useQuery({
    queryKey: ['day', minutes, hurts, level, played],
    queryFn: () =>
      call('GET', '/api/day', {
        query: { hurts: hurts ? 1 : 0, played, ...(minutes === null ? {} : { minutes }), ...(level === null ? {} : { level }) },
      }),
    placeholderData: (before) => before,
  })

/** Whatever is changed of the school is looked at anew. */
function useSchoolChange<T, R>(change: (asked: T) => Promise<R>) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      for (const key of ['class', 'groups', 'jobs', 'invitations', 'assignments', 'students'])
        void client.invalidateQueries({ queryKey: [key] })
    },
  })
}

export const useInvite = () => useSchoolChange((body: Body<'POST', '/api/invitations'>) => call('POST', '/api/invitations', { body }))
export const useInviteMany = () =>
  useSchoolChange((body: Body<'POST', '/api/invitations/many'>) => call('POST', '/api/invitations/many', { body }))
export const useWithdraw = () =>
  useSchoolChange((id: string) => call('DELETE', '/api/invitations/{invitation}', { path: { invitation: id } }))
export const useMakeGroup = () => useSchoolChange((name: string) => call('POST', '/api/groups', { body: { name } }))
export const useChangeGroup = () =>
  useSchoolChange(({ id, ...body }: Body<'PUT', '/api/groups/{group}'> & { id: string }) =>
    call('PUT', '/api/groups/{group}', { path: { group: id }, body }),
  )
export const useJobs = (group: string, breakdown: string | undefined) =>
  useQuery({
    queryKey: ['jobs', group, breakdown],
    enabled: breakdown !== undefined,
    queryFn: () => call('GET', '/api/groups/{group}/jobs', { path: { group }, query: { breakdown: breakdown ?? '' } }),
  })

export const useBalances = (group: string, breakdown: string | undefined) =>
  useQuery({
    queryKey: ['balances', group, breakdown],
    enabled: breakdown !== undefined,
    queryFn: () => call('GET', '/api/groups/{group}/balances', { path: { group }, query: { breakdown: breakdown ?? '' } }),
  })

export type HeardBalance = Body<'POST', '/api/groups/{group}/balances'>

/** Notes of balance tests: kept, and taken back. */
export function useBalanceNotes(group: string) {
  const client = useQueryClient()
  const onSuccess = () => client.invalidateQueries({ queryKey: ['balances', group] })
  const note = useMutation({
    mutationFn: (body: HeardBalance) => call('POST', '/api/groups/{group}/balances', { path: { group }, body }),
    onSuccess,
  })
  const takeBack = useMutation({
    mutationFn: (balance: string) => call('DELETE', '/api/groups/{group}/balances/{balance}', { path: { group, balance } }),
    onSuccess,
  })
  return { note, takeBack }
}

export const useGive = () => useSchoolChange((body: GivenWork) => call('POST', '/api/assignments', { body }))
export const useChangeWork = () =>
  useSchoolChange(({ id, ...body }: Body<'PUT', '/api/assignments/{assignment}'> & { id: number }) =>
    call('PUT', '/api/assignments/{assignment}', { path: { assignment: id }, body }),
  )
export const useTakeBack = () =>
  useSchoolChange((id: number) => call('DELETE', '/api/assignments/{assignment}', { path: { assignment: id } }))

export const useRemarks = (breakdown: string, take: string) =>
  useQuery({
    queryKey: ['remarks', take],
    queryFn: () => call('GET', '/api/breakdowns/{id}/takes/{take}/remarks', { path: { id: breakdown, take } }),
  })

export function useWriteRemark(breakdown: string, take: string) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (text: string) =>
      call('POST', '/api/breakdowns/{id}/takes/{take}/remarks', { path: { id: breakdown, take }, body: { text } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['remarks', take] }),
  })
}

/** Somebody comes in; who they are is known from then on. */
export function useComeIn<T>(enter: (asked: T) => Promise<Answer<'GET', '/api/session'>>, onDone: () => void) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: enter,
    onSuccess: (person) => {
      client.setQueryData(keys.person, person)
      onDone()
    },
  })
}
