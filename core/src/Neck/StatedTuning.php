<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Pitch\NoteName;

/** A retuning as it is spoken ("whole step down", "drop low string", "open major on D"), and a typed list held against it. */
final readonly class StatedTuning
{
    private const SPOKEN = [
        '/^(?:standard|usual)(?: tuning)?$/' => 'standard',
        '/^(?:a )?half (?:a )?(?:step|tone) down$/' => 'half-down',
        '/^(?:a )?whole (?:step|tone) down$/' => 'whole-down',
        '/^(?:drop(?:ped)? (?:the )?low(?:est)? string|drop d)$/' => 'drop-d',
        '/^(?:drop d|drop(?:ped)? (?:the )?low(?:est)? string),? (?:a )?half (?:step|tone) down$/' => 'drop-d-half-down',
        '/^(?:double drop d|drop (?:the )?(?:both )?outer strings)$/' => 'double-drop-d',
    ];

    /** Intervals of the two open major tunings above their lowest string, and where the tonic lies in them. */
    private const OPEN_FORMS = [[[0, 7, 12, 16, 19, 24], 0], [[0, 5, 12, 17, 21, 24], 5]];

    /** @throws NeckException where the words say no tuning */
    public static function parse(string $spoken): Tuning
    {
        $words = trim((string) preg_replace('/\s+/', ' ', mb_strtolower($spoken)));
        foreach (self::SPOKEN as $pattern => $slug) {
            if (preg_match($pattern, $words) === 1) {
                return Tuning::parse($slug);
            }
        }
        if (preg_match('/^open (?:major )?(?:on )?([a-g][♭♯b#]?)(?: major)?$/u', $words, $found) === 1) {
            return self::openMajor(NoteName::parse(ucfirst($found[1])));
        }

        return Tuning::parse($spoken);
    }

    /**
     * Strings of a typed list that do not have the pitch that the words state.
     *
     * @return list<array{string: int, typed: string, stated: string}> from the lowest string up
     *
     * @throws NeckException where the list has another number of strings
     */
    public static function contradictions(Tuning $stated, Tuning $typed): array
    {
        if ($stated->strings() !== $typed->strings()) {
            throw NeckException::otherStrings($stated->strings(), $typed->strings());
        }
        $found = [];
        foreach ($stated->pitches as $index => $pitch) {
            if ($pitch->midi() !== $typed->pitches[$index]->midi()) {
                $found[] = ['string' => $stated->strings() - $index, 'typed' => $typed->pitches[$index]->text(), 'stated' => $pitch->text()];
            }
        }

        return $found;
    }

    /** The form of open major whose strings change least from the usual tuning. */
    private static function openMajor(NoteName $tonic): Tuning
    {
        $usual = Tuning::standard()->openMidi(0);
        $best = [];
        $least = INF;
        foreach (self::OPEN_FORMS as [$form, $tonicAt]) {
            for ($lowest = $usual[0] - 6; $lowest <= $usual[0] + 6; $lowest++) {
                $midi = array_map(static fn (int $interval): int => $lowest + $interval, $form);
                $change = array_sum(array_map(static fn (int $to, int $from): int => abs($to - $from), $midi, $usual));
                if (($lowest + $tonicAt - $tonic->pitchClass()) % 12 === 0 && $change < $least) {
                    [$best, $least] = [$midi, $change];
                }
            }
        }
        $sharps = $tonic->alter >= 0;
        foreach (array_keys(Tuning::known()) as $slug) {
            $known = Tuning::parse($slug);
            if ($known->openMidi(0) === $best) {
                return $known;
            }
        }

        return Tuning::parse(implode(',', array_map(static fn (int $midi): string => NoteName::plain($midi % 12, $sharps)->text().(intdiv($midi, 12) - 1), $best)));
    }
}
