<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Neck\Failure\StringCountsDiffer;
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

    /** Intervals of the open tunings above their lowest string, and where the tonic lies in them. */
    private const OPEN_FORMS = [
        'major' => [[[0, 7, 12, 16, 19, 24], 0], [[0, 5, 12, 17, 21, 24], 5]],
        'minor' => [[[0, 7, 12, 15, 19, 24], 0], [[0, 5, 12, 17, 20, 24], 5]],
    ];

    /** @throws NeckException where the words say no tuning */
    public static function parse(string $spoken): Tuning
    {
        $words = trim((string) preg_replace('/[\s_–—-]+/u', ' ', mb_strtolower($spoken)), ' .');
        foreach (self::SPOKEN as $pattern => $slug) {
            if (preg_match($pattern, $words) === 1) {
                return Tuning::parse($slug);
            }
        }
        if (preg_match('/^open (?:(major|minor) )?(?:on |in )?([a-g][♭♯b#]?)(?: ?(major|minor|m))?$/u', $words, $found) === 1) {
            $minor = in_array('minor', [$found[1], $found[3] ?? ''], true) || ($found[3] ?? '') === 'm';

            return self::openOn(NoteName::parse(ucfirst($found[2])), $minor ? 'minor' : 'major');
        }

        return self::listed($words) ?? Tuning::parse($spoken);
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
            throw new StringCountsDiffer($stated->strings(), $typed->strings());
        }
        $found = [];
        foreach ($stated->pitches as $index => $pitch) {
            if ($pitch->midi() !== $typed->pitches[$index]->midi()) {
                $found[] = [
                    'string' => $stated->strings() - $index,
                    'typed' => $typed->pitches[$index]->text(),
                    'stated' => $pitch->text(),
                ];
            }
        }

        return $found;
    }

    /** Strings one after the other, lowest first, with their octave or without: then each lies as near to the usual one as it can. */
    private static function listed(string $words): ?Tuning
    {
        $strings = preg_split('/[\s,;\/]+/', $words, -1, PREG_SPLIT_NO_EMPTY);
        if (preg_match('/^(?:[a-g][♭♯b#]?-?\d?[\s,;\/]*){4,8}$/u', $words) !== 1 || $strings === false || count($strings) < 4) {
            return null;
        }
        $usual = Tuning::usual(count($strings))->openMidi(0);
        $pitches = [];
        foreach ($strings as $place => $string) {
            preg_match('/^([a-g][♭♯b#]?)(\d)?$/u', $string, $found);
            $name = NoteName::parse(ucfirst($found[1] ?? 'e'));
            $octave = $found[2] ?? (string) (int) round(($usual[$place] - $name->semitonesAboveC()) / 12 - 1);
            $pitches[] = $name->text().$octave;
        }
        $tuning = Tuning::parse(implode(',', $pitches));
        foreach (array_keys(Tuning::known()) as $slug) {
            if (Tuning::parse($slug)->openMidi(0) === $tuning->openMidi(0)) {
                return Tuning::parse($slug);
            }
        }

        return $tuning;
    }

    /**
     * The form of the open chord whose strings change least from the usual tuning.
     *
     * @param 'major'|'minor' $mode
     */
    private static function openOn(NoteName $tonic, string $mode): Tuning
    {
        $usual = Tuning::standard()->openMidi(0);
        $best = [];
        $least = INF;
        foreach (self::OPEN_FORMS[$mode] as [$form, $tonicAt]) {
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

        return Tuning::parse(implode(
            ',',
            array_map(static fn (int $midi): string => NoteName::plain($midi % 12, $sharps)->text().(intdiv($midi, 12) - 1), $best),
        ));
    }
}
