<?php

declare(strict_types=1);

namespace App\Bench;

use App\Console\UnusableInput;
use Gravik\Quote;

/**
 * What a file beside a recording says was played.
 *
 * @phpstan-import-type Bar from ChordMaterial
 */
final readonly class PlayedTruth
{
    /**
     * @return array{first_beat: float, strokes: list<array{t: float, direction: string, muted: bool}>}
     *
     * @throws UnusableInput
     */
    public static function strokes(string $path): array
    {
        $truth = is_file($path) ? json_decode((string) file_get_contents($path), true) : null;
        if (! is_array($truth) || ! is_array($truth['strokes'] ?? null) || ! is_numeric($truth['first_beat'] ?? null)) {
            throw UnusableInput::needs(
                sprintf('"%s" does not say what was played: first_beat and strokes are missing.', Quote::short($path)),
            );
        }
        $strokes = [];
        foreach ($truth['strokes'] as $stroke) {
            $told = (is_array($stroke) ? $stroke : []) + ['t' => 0, 'direction' => '', 'muted' => false];
            ['t' => $t, 'direction' => $direction, 'muted' => $muted] = $told;
            $strokes[] = ['t' => (float) $t, 'direction' => (string) $direction, 'muted' => (bool) $muted];
        }

        return ['first_beat' => (float) $truth['first_beat'], 'strokes' => $strokes];
    }

    /** @return ?array{key: string, rootless: bool, bars: list<Bar>} null where it says nothing of chords */
    public static function chords(string $path): ?array
    {
        $truth = json_decode((string) file_get_contents($path), true);
        if (! is_array($truth) || ! is_array($truth['bars'] ?? null) || ! is_string($truth['key'] ?? null)) {
            return null;
        }
        $bars = [];
        foreach ($truth['bars'] as $bar) {
            $told = (is_array($bar) ? $bar : []) + ['t' => 0, 'until' => 0, 'symbol' => 'C', 'midi' => []];
            $bars[] = [
                't' => (float) $told['t'],
                'until' => (float) $told['until'],
                'symbol' => (string) $told['symbol'],
                'midi' => array_map(intval(...), array_values((array) $told['midi'])),
            ];
        }

        return ['key' => $truth['key'], 'rootless' => ($truth['rootless'] ?? false) === true, 'bars' => $bars];
    }
}
