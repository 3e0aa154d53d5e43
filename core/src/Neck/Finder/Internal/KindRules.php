<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder\Internal;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Degree;
use Gravik\Neck\Company;
use Gravik\Neck\Grip\GripKind;

/**
 * What a kind of grip asks: which notes, and how they lie. A kind decides for itself whether the root may go.
 *
 * @internal used by VoicingFinder
 */
final readonly class KindRules
{
    private const BARRE_SPANS = 4;

    /** strings apart => semitones: thirds and fourths on neighbours, sixths over one string */
    private const DOUBLE_STOPS = [1 => [3, 4, 5], 2 => [8, 9]];

    public function __construct(private GripKind $kind, private ChordSymbol $chord, private Company $company) {}

    public function demand(): Demand
    {
        $third = array_slice($this->chord->shell, 0, 1);

        return match ($this->kind) {
            GripKind::Power => Demand::exactly($this->chord, [new Degree(1), new Degree(5)], [], 2),
            GripKind::TriadRoot, GripKind::TriadFirst, GripKind::TriadSecond => Demand::exactly(
                $this->chord,
                [new Degree(1), ...$third, $this->fifth()],
                [],
                3,
            ),
            GripKind::Shell => Demand::exactly($this->chord, [new Degree(1), ...$this->chord->shell], [], 2),
            GripKind::GuideTones => Demand::exactly($this->chord, $this->chord->shell, [], 2),
            GripKind::GuideTonesAndColour => Demand::exactly($this->chord, $this->chord->shell, $this->colours(), 3),
            GripKind::DoubleStop => Demand::exactly($this->chord, [], $this->chord->degrees(), 2),
            GripKind::MiddleStrings, GripKind::Slash, GripKind::Pedal => Demand::of($this->chord, Company::WithBass),
            GripKind::Barre, GripKind::OpenBarre => Demand::of($this->chord, $this->company),
        };
    }

    /**
     * @param list<int|null> $frets low to high
     * @param list<int>      $openMidi
     */
    public function accepts(array $frets, array $openMidi): bool
    {
        $notes = [];
        foreach ($frets as $string => $fret) {
            if ($fret !== null) {
                $notes[$string] = $openMidi[$string] + $fret;
            }
        }
        if ($notes === []) {
            return false;
        }
        $neighbours = array_key_last($notes) - array_key_first($notes) + 1 === count($notes);
        $lowest = $this->chord->degreeOf(min($notes) % 12)->label();

        return match ($this->kind) {
            GripKind::Power => count($notes) <= 3 && $neighbours,
            GripKind::TriadRoot => count($notes) === 3 && $neighbours && $lowest === 'R',
            GripKind::TriadFirst => count($notes) === 3 && $neighbours && $lowest === ($this->chord->shell[0] ?? new Degree(3))->label(),
            GripKind::TriadSecond => count($notes) === 3 && $neighbours && $lowest === $this->fifth()->label(),
            GripKind::Shell => count($notes) === 3 && $lowest === 'R',
            GripKind::GuideTones => count($notes) === 2,
            GripKind::GuideTonesAndColour => count($notes) === 3
                && in_array($this->chord->degreeOf(max($notes) % 12)->number, [9, 13], true),
            GripKind::MiddleStrings => count($notes) === 4
                && array_keys($notes) === range(intdiv(count($frets) - 4, 2), intdiv(count($frets) - 4, 2) + 3),
            GripKind::Slash => $lowest !== 'R',
            GripKind::Barre => $this->isBarre($frets),
            GripKind::OpenBarre => count($notes) >= 4
                && count(array_unique(array_filter($frets, static fn (?int $fret): bool => $fret !== null))) === 1,
            GripKind::DoubleStop => self::isDoubleStop($notes),
            GripKind::Pedal => self::isPedal($frets, $notes),
        };
    }

    /**
     * @param non-empty-array<int, int> $notes string index => MIDI
     */
    private static function isDoubleStop(array $notes): bool
    {
        $strings = array_keys($notes);
        $interval = count($notes) === 2 ? $notes[$strings[1]] - $notes[$strings[0]] : 0;

        return count($notes) === 2 && in_array($interval, self::DOUBLE_STOPS[$strings[1] - $strings[0]] ?? [], true);
    }

    /**
     * One open string at the edge of the grip goes on while the fretted ones move.
     *
     * @param list<int|null>            $frets
     * @param non-empty-array<int, int> $notes
     */
    private static function isPedal(array $frets, array $notes): bool
    {
        $open = array_keys(array_filter($frets, static fn (?int $fret): bool => $fret === 0));

        return count($open) === 1 && count($notes) >= 3 && in_array($open[0], [array_key_first($notes), array_key_last($notes)], true);
    }

    private function fifth(): Degree
    {
        foreach ($this->chord->degrees() as $degree) {
            if ($degree->number === 5) {
                return $degree;
            }
        }

        return new Degree(5);
    }

    /** @return list<Degree> the ninth and thirteenth as the chord has them, else the plain ones */
    private function colours(): array
    {
        $own = array_values(array_filter(
            $this->chord->degrees(),
            static fn (Degree $degree): bool => in_array($degree->number, [9, 13], true),
        ));
        $numbers = array_map(static fn (Degree $degree): int => $degree->number, $own);

        return [
            ...$own,
            ...(in_array(9, $numbers, true) ? [] : [new Degree(9)]),
            ...(in_array(13, $numbers, true) ? [] : [new Degree(13)]),
        ];
    }

    /** @param list<int|null> $frets */
    private function isBarre(array $frets): bool
    {
        $lowest = FingerRuns::of($frets)->runs[0] ?? null;

        return $lowest !== null
            && ! in_array(0, $frets, true)
            && max($lowest['strings']) - min($lowest['strings']) + 1 >= self::BARRE_SPANS;
    }
}
