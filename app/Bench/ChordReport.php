<?php

declare(strict_types=1);

namespace App\Bench;

use Gravik\Formats\WavSource;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Harmony\Key;
use Gravik\Listening\Chords\ChordReader;
use Gravik\Listening\Chords\HeardChord;
use Gravik\Listening\Chords\HeldGrips;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Neck\Company;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

/**
 * How well chords are heard, held against files that say what was held: right are bars whose root, third and seventh are.
 *
 * @phpstan-import-type Bar from ChordMaterial
 */
final readonly class ChordReport
{
    public function __construct(private StrokeListener $listener = new StrokeListener(), private ChordReader $reader = new ChordReader()) {}

    /**
     * @param array{key: string, rootless: bool, bars: list<Bar>} $truth
     * @param bool $keyKnown whether the reader is told the key
     *
     * @return array{bars: int, right: int, sure: int, sure_right: int, grips: int, key: int}
     */
    public function of(string $wav, array $truth, bool $keyKnown): array
    {
        $notes = $this->listener->hearAll(WavSource::open($wav))->notes->notes();
        $company = $truth['rootless'] ? Company::WithBass : Company::Alone;
        $heard = $this->reader->read($notes, array_map(static fn (array $bar): array => [
            [[$bar['t'], ($bar['t'] + $bar['until']) / 2]],
            [[($bar['t'] + $bar['until']) / 2, $bar['until']]],
        ], $truth['bars']), $company, $keyKnown ? Key::parse($truth['key']) : null);
        $grips = new HeldGrips(new Neck(Tuning::standard()), $company);
        $sums = ['bars' => 0, 'right' => 0, 'sure' => 0, 'sure_right' => 0, 'grips' => 0, 'key' => 0];
        $sums['key'] = $heard->key->text() === Key::parse($truth['key'])->text() ? 1 : 0;
        foreach ($truth['bars'] as $number => $bar) {
            $own = array_values(array_filter($heard->chords, static fn (HeardChord $chord): bool => $chord->bar === $number));
            $isRight = count($own) === 1 && self::shell($own[0]->chord) === self::shell(ChordSymbol::parse($bar['symbol']));
            $isSure = array_filter($own, static fn (HeardChord $chord): bool => ! $chord->isSure()) === [];
            $grip = $grips->of(ChordSymbol::parse($bar['symbol']), $notes, [[$bar['t'], $bar['until']]]);
            $sums['bars']++;
            $sums['right'] += $isRight ? 1 : 0;
            $sums['sure'] += $isSure ? 1 : 0;
            $sums['sure_right'] += $isSure && $isRight ? 1 : 0;
            $sums['grips'] += $grip !== null && self::sorted($grip->midi) === self::sorted($bar['midi']) ? 1 : 0;
        }

        return $sums;
    }

    /** @return list<int> pitch classes of root, third and seventh, or what stands for these */
    private static function shell(ChordSymbol $chord): array
    {
        return [$chord->rootPitchClass(), ...self::sorted(array_map(
            static fn (Degree $degree): int => $degree->semitones() % 12,
            $chord->shell,
        ))];
    }

    /**
     * @param list<?int> $numbers
     *
     * @return list<int>
     */
    private static function sorted(array $numbers): array
    {
        $numbers = array_filter($numbers, static fn (?int $number): bool => $number !== null);
        sort($numbers);

        return $numbers;
    }
}
