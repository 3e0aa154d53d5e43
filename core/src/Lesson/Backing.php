<?php

declare(strict_types=1);

namespace Gravik\Lesson;

use Gravik\Time\Meter;

/** What is played along to, from most help to least. */
enum Backing: string
{
    case Band = 'band';
    case EveryBeat = 'all';
    case BackBeat = 'back';
    case OnceABar = 'one';
    case OffBeats = 'off';
    case Rests = 'rests';
    case Nothing = 'nothing';

    /** Bars with the click and bars without, where it drops out. */
    private const RESTS = [2, 2];

    public function words(): string
    {
        return match ($this) {
            self::Band => 'the band',
            self::EveryBeat => 'click on every beat',
            self::BackBeat => 'click on 2 and 4',
            self::OnceABar => 'click once a bar',
            self::OffBeats => 'click on the off-beats',
            self::Rests => 'click that drops out',
            self::Nothing => 'nothing: the foot keeps the beat',
        };
    }

    /** @return list<int> beats of the bar that click, from 0; in three the back-beat is 2 and 3 */
    public function beats(Meter $meter): array
    {
        $all = range(0, $meter->beats() - 1);

        return match ($this) {
            self::Band, self::OffBeats, self::Nothing => [],
            self::EveryBeat, self::Rests => $all,
            self::BackBeat => $meter->beats() === 3
                ? [1, 2]
                : array_values(array_filter($all, static fn (int $beat): bool => $beat % 2 === 1)),
            self::OnceABar => [0],
        };
    }

    public function clicksOffBeats(): bool
    {
        return $this === self::OffBeats;
    }

    /** @return ?array{int, int} so many bars with the click, then so many without; null where it never rests */
    public function rests(): ?array
    {
        return $this === self::Rests ? self::RESTS : null;
    }
}
