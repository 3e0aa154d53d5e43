<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder;

use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Harmony\Mode;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\Tuning;
use Gravik\Pitch\NoteName;

/** Where a capo lets a tune be played in the shapes of an easy key: c = (sounding − shape) mod 12, up to the seventh fret. */
final readonly class CapoPlan
{
    private const HIGHEST = 7;

    private const SHAPE_KEYS = ['major' => ['C', 'A', 'G', 'E', 'D'], 'minor' => ['A', 'E', 'D']];

    /** An open grip lies within these frets and is no harder than this. */
    private const OPEN_FRETS = 4;

    private const EASY = 2.5;

    private const LOOKED_AT = 8;

    public function __construct(private HandProfile $hand = new HandProfile()) {}

    /**
     * @param list<ChordSymbol> $chords of the tune, each once
     *
     * @return list<CapoChoice> those with the most open grips first, lower frets before higher
     */
    public function choices(Key $sounding, array $chords): array
    {
        $choices = [];
        foreach (self::SHAPE_KEYS[$sounding->mode->value] as $tonic) {
            $shapeKey = new Key(NoteName::parse($tonic), $sounding->mode);
            $capo = $shapeKey->semitonesTo($sounding);
            if ($capo <= self::HIGHEST) {
                $shapes = array_map(static fn (ChordSymbol $chord): ChordSymbol => self::carried($chord, $sounding, $shapeKey), $chords);
                $choices[] = new CapoChoice($capo, $shapeKey, $shapes, count(array_filter($shapes, $this->isOpen(...))));
            }
        }
        usort($choices, static fn (CapoChoice $a, CapoChoice $b): int => [-$a->openGrips, $a->capo] <=> [-$b->openGrips, $b->capo]);

        return $choices;
    }

    /** The key whose shapes are held when a tune sounds in a key above a capo. */
    public static function shapeKey(Key $sounding, int $capo): Key
    {
        $pitchClass = ($sounding->tonic->pitchClass() - $capo + 24) % 12;
        $sharp = NoteName::plain($pitchClass, true);
        $flat = NoteName::plain($pitchClass, false);
        $preferFlat = ! $sharp->equals($flat)
            && ($sounding->mode === Mode::Major ? $pitchClass !== 6 : in_array($pitchClass, [3, 10], true));

        return new Key($preferFlat ? $flat : $sharp, $sounding->mode);
    }

    /** The chord a hand holds to sound another above a capo; null where there is none. */
    public static function shapeOf(ChordSymbol $sounding, Key $key, int $capo): ?ChordSymbol
    {
        return $capo === 0 ? null : self::carried($sounding, $key, self::shapeKey($key, $capo));
    }

    /** A shape is what the hand knows: E♯ and C♭ are F and B to it. */
    private static function carried(ChordSymbol $chord, Key $from, Key $to): ChordSymbol
    {
        $carried = $from->carryChord($chord, $to);

        return $carried->onRoot(self::handy($carried->root), $carried->bass === null ? null : self::handy($carried->bass));
    }

    private static function handy(NoteName $note): NoteName
    {
        $plain = NoteName::plain($note->pitchClass(), true);

        return mb_strlen($plain->text()) === 1 ? $plain : $note;
    }

    private function isOpen(ChordSymbol $shape): bool
    {
        $finder = new VoicingFinder(new Neck(Tuning::standard()), new FretRange(0, self::OPEN_FRETS), Company::Alone, $this->hand);
        try {
            $best = $finder->find($shape, self::LOOKED_AT)->best;
        } catch (NeckException) {
            return false;
        }

        return array_filter(
            $best,
            static fn (Voicing $voicing): bool => in_array(0, $voicing->frets, true)
                && $voicing->barres === []
                && $voicing->difficultySum() <= self::EASY,
        ) !== [];
    }
}
