<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Pitch\NoteName;

/**
 * A note that can stay through a row of chords: what it is in each, and what each is called with it. Over C7 B7 B♭7 A7 an E
 * is 3, 11, ♯11 and 5: C7 B11 B♭7♯11 A7.
 */
final readonly class CommonTone
{
    /** What a colour costs, by the ending of a chord: semitones above its root => [its degree, the ending with it, cost]. */
    private const COLOURS = [
        '7' => [
            2 => ['9', '9', 1], 9 => ['13', '13', 1], 6 => ['♯11', '7♯11', 1], 5 => ['11', '11', 2], 3 => ['♯9', '7♯9', 2],
            1 => ['♭9', '7♭9', 2], 8 => ['♯5', '7♯5', 3],
        ],
        'm7' => [2 => ['9', 'm9', 1], 5 => ['11', 'm11', 1]],
        'm' => [2 => ['9', 'madd9', 1], 9 => ['6', 'm6', 1], 10 => ['♭7', 'm7', 1]],
        '6' => [2 => ['9', '6/9', 1]],
        'maj7' => [2 => ['9', 'maj9', 1], 6 => ['♯11', 'maj7♯11', 2]],
        '' => [2 => ['9', 'add9', 1], 9 => ['6', '6', 1], 11 => ['7', 'maj7', 1], 10 => ['♭7', '7', 2]],
    ];

    /**
     * @param list<string>      $degrees in each chord
     * @param list<ChordSymbol> $chords  with the note in them
     * @param int               $cost    of the colours that are needed; 0 where it is a chord tone in all
     */
    private function __construct(public NoteName $note, public array $degrees, public array $chords, public int $cost) {}

    /**
     * @param non-empty-list<ChordSymbol> $chords
     *
     * @return list<self> every note that can stay, the least coloured first
     */
    public static function of(array $chords): array
    {
        $found = [];
        for ($pitchClass = 0; $pitchClass < 12; $pitchClass++) {
            $through = array_map(static fn (ChordSymbol $chord): ?array => self::in($chord, $pitchClass), $chords);
            if (! in_array(null, $through, true)) {
                $note = $chords[0]->spell($pitchClass);
                $found[] = new self(
                    $note,
                    array_map(static fn (array $each): string => $each[0], $through),
                    array_map(static fn (array $each): ChordSymbol => $each[1], $through),
                    array_sum(array_map(static fn (array $each): int => $each[2], $through)),
                );
            }
        }
        usort($found, static fn (self $a, self $b): int => $a->cost <=> $b->cost);

        return $found;
    }

    /** @return ?array{string, ChordSymbol, int} degree, chord with it, cost; null where the chord does not take the note */
    private static function in(ChordSymbol $chord, int $pitchClass): ?array
    {
        if ($chord->has($pitchClass)) {
            return [$chord->degreeOf($pitchClass)->label(), $chord, 0];
        }
        $colour = self::COLOURS[$chord->ending][($pitchClass - $chord->rootPitchClass() + 12) % 12] ?? null;

        return $colour === null ? null : [$colour[0], ChordSymbol::parse($chord->root->text().$colour[1]), $colour[2]];
    }
}
