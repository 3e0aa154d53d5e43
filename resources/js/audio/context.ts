let context: AudioContext | null = null

/** The page's one clock, and its way to the loudspeakers; made when it is first asked for. */
export const audio = (): AudioContext => (context ??= new AudioContext())
