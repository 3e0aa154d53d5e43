<?php

declare(strict_types=1);

namespace Gravik\Band;

/** The tune of the lead as another plays it along: in the octave nearest to the middle of that part's register. */
final readonly class Doubling
{
    private function __construct(private int $semitones) {}

    /** @param list<PartBar> $bars of the whole song, so that it stays in one octave */
    public static function of(array $bars, Register $register): self
    {
        $pitches = array_map(
            static fn (BandNote $note): int => $note->pitch,
            array_merge([], ...array_map(static fn (PartBar $bar): array => $bar->tune, $bars)),
        );

        return new self($register->octavesFrom($pitches));
    }

    /** @return list<BandNote> */
    public function in(PartBar $bar, float $loudness): array
    {
        return array_map(
            fn (BandNote $note): BandNote => new BandNote(
                $note->tick,
                $note->until,
                $note->division,
                max(0, min(127, $note->pitch + $this->semitones)),
                $loudness * $note->loudness,
            ),
            $bar->tune,
        );
    }
}
