<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Neck\Failure\StringCountsDiffer;
use Gravik\Pitch\Pitch;

/** From the tuning a guitar is in to another, string by string. Only the strings that a tune uses need it. */
final readonly class RetunePlan
{
    /** Above a string's design pitch by more than this it may break; below by more it hangs slack (rules of thumb). */
    private const SAFE_UP = 2;

    private const SAFE_DOWN = 4;

    /**
     * @param list<int> $used string numbers that the tune uses; empty for all
     *
     * @return list<Retuning> from the lowest string to the highest
     *
     * @throws NeckException where the two tunings do not have as many strings
     */
    public function plan(Tuning $from, Tuning $to, array $used = []): array
    {
        if ($from->strings() !== $to->strings()) {
            throw new StringCountsDiffer($from->strings(), $to->strings());
        }
        // Strings are made for the usual tuning, whatever the guitar is in now.
        $design = self::usual($from)->openMidi(0);
        $steps = [];
        foreach ($to->pitches as $index => $pitch) {
            $string = $to->strings() - $index;
            $change = $pitch->midi() - $from->pitches[$index]->midi();
            $needed = $used === [] || in_array($string, $used, true);
            $steps[] = new Retuning(
                $string,
                $from->pitches[$index],
                $pitch,
                $change,
                $needed,
                $change === 0 || ! $needed ? null : self::caution($pitch->midi() - $design[$index]),
            );
        }

        return $steps;
    }

    /** The tuning a guitar is in where nobody says: standard on six strings, elsewhere the one that is asked about. */
    public static function usual(Tuning $tuning): Tuning
    {
        $standard = Tuning::standard();

        return $tuning->strings() === $standard->strings() ? $standard : $tuning;
    }

    private static function caution(int $fromDesign): ?string
    {
        return match (true) {
            $fromDesign > self::SAFE_UP => 'This is well above what such a string is made for: it may break. Keep your face away, use a lighter string, or take a capo instead.',
            $fromDesign < -self::SAFE_DOWN => 'This low it hangs slack and buzzes. A heavier string would hold the pitch.',
            default => null,
        };
    }
}
