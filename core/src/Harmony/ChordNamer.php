<?php

declare(strict_types=1);

namespace Gravik\Harmony;

use Gravik\Harmony\Internal\NamingCost;
use Gravik\Pitch\NoteName;

/**
 * Names some notes: every chord whose required degrees all sound and to which no sounding note is foreign, those first
 * that fit the key and the chord asked for, have their root in the bass, are complete and have few alterations. A root
 * may be missing where four notes or more make a ninth or thirteenth, or where third and seventh sound with nothing but
 * the named extensions beside them.
 */
final readonly class ChordNamer
{
    /** Fewer notes are a triad or guide tones, whose name a rootless one does not displace. */
    private const ROOTLESS_NOTES = 4;

    private NamingCost $cost;

    public function __construct(private ?Key $key = null, private ?ChordSymbol $asked = null)
    {
        $this->cost = new NamingCost($key, $asked);
    }

    /**
     * @param non-empty-list<int> $midi from the lowest note up
     *
     * @return list<ChordName> the best first; empty where no chord has these notes
     */
    public function names(array $midi): array
    {
        $classes = array_map(static fn (int $note): int => $note % 12, $midi);
        $names = [];
        foreach ($this->chords() as $chord) {
            $name = $this->name($chord, $classes);
            if ($name !== null) {
                $names[$name->chord->text()] ??= $name;
            }
        }
        usort($names, static fn (ChordName $a, ChordName $b): int => $a->cost <=> $b->cost);

        return count(array_unique($classes)) < self::ROOTLESS_NOTES ? $names : $this->withRootlessFirst($names);
    }

    /**
     * A rootless name comes first only where the name with its root in the bass is foreign to the key and the rootless one is not.
     *
     * @param list<ChordName> $names in order
     *
     * @return list<ChordName>
     */
    private function withRootlessFirst(array $names): array
    {
        $first = $names[0] ?? null;
        if ($first === null || $this->asked !== null || ! $this->cost->isForeign($first->chord)) {
            return $names;
        }
        foreach ($names as $place => $name) {
            if ($this->cost->isForeign($name->chord) || ! in_array(
                1,
                array_map(static fn (Degree $degree): int => $degree->number, $name->omitted),
                true,
            )) {
                continue;
            }

            return [$name, ...array_values(array_filter($names, static fn (int $other): bool => $other !== $place, ARRAY_FILTER_USE_KEY))];
        }

        return $names;
    }

    /** @return list<ChordSymbol> on every root, the commoner endings first; the chord asked for before all */
    private function chords(): array
    {
        /** @var list<string> $endings */
        $endings = require __DIR__.'/Data/endings.php';
        $roots = array_map(
            fn (int $pitchClass): NoteName => $this->key?->spell($pitchClass)
                ?? NoteName::plain($pitchClass, in_array($pitchClass, [6], true)),
            range(0, 11),
        );
        $chords = $this->asked === null ? [] : [$this->asked];
        foreach ($endings as $ending) {
            $model = ChordSymbol::parse('C'.$ending);
            foreach ($roots as $pitchClass => $root) {
                $chords[] = $model->onRoot(str_starts_with($ending, 'dim') ? $this->key?->spellLeading($pitchClass) ?? $root : $root, null);
            }
        }

        return $chords;
    }

    /** @param non-empty-list<int> $classes pitch classes from the lowest note up */
    private function name(ChordSymbol $chord, array $classes): ?ChordName
    {
        $bass = $classes[0];
        $own = self::classesOf($chord, $chord->degrees());
        $upper = array_slice($classes, 1);
        $foreignBass = ! in_array($bass, $own, true);
        $sounding = array_values(array_unique($foreignBass ? $upper : $classes));
        if ($sounding === [] || array_diff($sounding, $own) !== [] || ($foreignBass && in_array($bass, $upper, true))) {
            return null;
        }
        if (array_diff(
            self::classesOf($chord, $chord->required),
            $sounding,
        ) !== [] || ($chord->oneOf !== [] && array_intersect(self::classesOf($chord, $chord->oneOf), $sounding) === [])) {
            return null;
        }
        $rootless = ! in_array($chord->rootPitchClass(), $sounding, true);
        if ($rootless && ($foreignBass || ! self::speaksWithoutRoot($chord, $sounding))) {
            return null;
        }
        $named = $rootless || $bass === $chord->rootPitchClass()
            ? $chord->onRoot($chord->root, null)
            : $chord->onRoot($chord->root, $foreignBass ? $this->spelled($bass) : $chord->spell($bass));
        $omitted = array_values(array_filter(
            [new Degree(1), ...array_filter($chord->optional, static fn (Degree $degree): bool => $degree->number === 5)],
            static fn (Degree $degree): bool => ! in_array(self::classOf($chord, $degree), $sounding, true),
        ));

        return new ChordName(
            $named,
            array_map($named->degreeOf(...), $classes),
            $omitted,
            $this->why($named, $rootless, $omitted, $foreignBass),
            $this->cost->of($named, $rootless, $omitted, $foreignBass, array_values(array_unique($classes))),
        );
    }

    /** @param list<Degree> $omitted */
    private function why(ChordSymbol $chord, bool $rootless, array $omitted, bool $foreignBass): string
    {
        $parts = $this->key === null ? [] : [Numeral::in($this->key)->text($chord->onRoot($chord->root, null)).' in '.$this->key->text()];
        $parts[] = match (true) {
            $rootless => 'root not played',
            $foreignBass => 'over a bass that is not its own',
            $chord->bass !== null => $chord->degreeOf($chord->bass->pitchClass())->label().' in the bass',
            default => 'root in the bass',
        };
        $without = array_filter($omitted, static fn (Degree $degree): bool => $degree->number !== 1);
        $parts[] = $without === []
            ? ($rootless ? '' : 'complete')
            : 'no '.implode(', ', array_map(static fn (Degree $degree): string => $degree->label(), $without));

        return implode(', ', array_filter($parts, static fn (string $part): bool => $part !== ''));
    }

    private function spelled(int $pitchClass): NoteName
    {
        return $this->key?->spell($pitchClass) ?? NoteName::plain($pitchClass, false);
    }

    /** @param list<int> $sounding */
    private static function speaksWithoutRoot(ChordSymbol $chord, array $sounding): bool
    {
        $seventh = count($chord->shell) === 2 && $chord->shell[1]->number === 7;
        $shell = array_diff(self::classesOf($chord, $chord->shell), $sounding) === [];

        $beside = array_filter($chord->required, static fn (Degree $degree): bool => $degree->number < 9);
        $guideTones = count($beside) === 2 && count($sounding) === count($chord->required);

        return $seventh && $shell && (count($sounding) >= 4 || $guideTones);
    }

    /**
     * @param list<Degree> $degrees
     *
     * @return list<int>
     */
    private static function classesOf(ChordSymbol $chord, array $degrees): array
    {
        return array_map(static fn (Degree $degree): int => self::classOf($chord, $degree), $degrees);
    }

    private static function classOf(ChordSymbol $chord, Degree $degree): int
    {
        return ($chord->rootPitchClass() + $degree->semitones()) % 12;
    }
}
