<?php

declare(strict_types=1);

namespace Gravik\Neck\Grip;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Neck;

/**
 * The grips of a chord that everybody plays, open or moved to its root. Where a chord stands alone they are looked for
 * first, whatever else would be easier.
 */
final readonly class CommonGrips
{
    private const HIGHEST_ROOT = 12;

    public function __construct(private Neck $neck) {}

    /** @return array<string, int> frets as Frets::text() has them => how well known, 0 the best; empty on strings tuned otherwise */
    public function of(ChordSymbol $chord): array
    {
        if (! $this->neck->tuning->keepsStandardIntervals() || $chord->bass !== null) {
            return [];
        }
        /** @var array<string, list<string>> $table */
        $table = require __DIR__.'/Data/common-grips.php';
        $open = $this->neck->openMidi();
        $grips = [];
        foreach ($table[$chord->ending] ?? [] as $written) {
            $words = explode(' ', $written);
            $onlyOpen = ($words[6] ?? '') === 'open';
            $shape = array_map(static fn (string $word): ?int => $word === '-' ? null : (int) $word, array_slice($words, 0, 6));
            $rootString = (int) array_search('0', $words, true);
            for ($root = ($chord->rootPitchClass() - $open[$rootString] % 12 + 12) % 12; $root <= self::HIGHEST_ROOT; $root += 12) {
                $frets = array_map(static fn (?int $fret): ?int => $fret === null ? null : $fret + $root, $shape);
                $lowest = min(array_map(static fn (?int $fret): int => $fret ?? 99, $frets));
                if ($lowest >= 0 && (! $onlyOpen || $lowest === 0)) {
                    $grips[Frets::text($frets)] ??= count($grips);
                }
            }
        }

        return $grips;
    }
}
