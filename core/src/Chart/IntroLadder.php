<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Harmony\Scale;
use Gravik\Pitch\NoteName;

/** An intro that slides one shape down to a chord, a chord to two beats: four ways to come down, the last on time. */
final readonly class IntroLadder
{
    /** name => how far above the chord each rung lies, in semitones */
    private const LADDERS = [
        'whole tones' => [6, 4, 2],
        'whole tones, then a half' => [5, 3, 1],
        'half tones' => [3, 2, 1],
        'minor thirds' => [9, 6, 3],
    ];

    /**
     * @param list<ChordSymbol> $rungs the chord itself last
     * @param list<int>         $other places in which it differs from the first ladder
     */
    private function __construct(public string $name, public array $rungs, public array $other) {}

    /** @return list<self> down to a chord, spelled by where they lead in the key */
    public static function to(ChordSymbol $chord, Key $key): array
    {
        $ladders = [];
        foreach (self::LADDERS as $name => $semitones) {
            $rungs = array_map(
                static fn (int $by): ChordSymbol => $chord->onRoot(self::root($chord, $by, $key), null),
                [...$semitones, 0],
            );
            $first = $ladders[0]->rungs ?? $rungs;
            $ladders[] = new self($name, $rungs, array_keys(array_filter(
                $rungs,
                static fn (ChordSymbol $rung, int $place): bool => $rung->text() !== $first[$place]->text(),
                ARRAY_FILTER_USE_BOTH,
            )));
        }

        return $ladders;
    }

    /** Two rungs a bar. */
    public function line(): string
    {
        $bars = array_map(
            static fn (array $two): string => implode(' ', array_map(static fn (ChordSymbol $rung): string => $rung->text(), $two)),
            array_chunk($this->rungs, 2),
        );

        return '| '.implode(' | ', $bars).' |';
    }

    private static function root(ChordSymbol $chord, int $by, Key $key): NoteName
    {
        $pitchClass = ($chord->rootPitchClass() + $by) % 12;

        // What comes from above is spelled with flats, as it leads.
        return match (true) {
            $by === 0 => $chord->root,
            Scale::ofKey($key)->has($pitchClass) => $key->spell($pitchClass),
            default => NoteName::plain($pitchClass, false),
        };
    }
}
