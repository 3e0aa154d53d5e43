<?php

declare(strict_types=1);

namespace Gravik\Breakdown\Internal;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Remark;
use Gravik\Breakdown\RemarkKind;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Pitch\NoteName;
use Gravik\Pitch\Pitch;

/**
 * Lists of strings in the teacher's words, against the strings of the guitar.
 *
 * @internal used by Proofreader
 */
final readonly class StringsSaid
{
    private const NOTE = '[A-G](?:[#b♯♭])?';

    /** @return list<Remark> */
    public static function read(Breakdown $breakdown): array
    {
        $list = sprintf('/(?<![\w♯♭])%1$s(?:[ ,–-]+%1$s)+(?![\w♯♭])/u', self::NOTE);
        $tuned = self::classes($breakdown->neck->tuning);
        $remarks = [];
        foreach (self::words($breakdown) as $where => $words) {
            preg_match_all($list, $words, $found);
            foreach ($found[0] as $said) {
                preg_match_all('/'.self::NOTE.'/u', $said, $notes);
                $classes = array_map(static fn (string $note): int => NoteName::parse($note)->pitchClass(), $notes[0]);
                if (count($classes) === count($tuned) && $classes !== $tuned && array_reverse($classes) !== $tuned) {
                    $remarks[] = new Remark(RemarkKind::OtherStrings, null, sprintf(
                        '%s names the strings %s, and the guitar is tuned %s. Which is meant?',
                        $where,
                        $said,
                        implode(
                            ' ',
                            array_map(static fn (Pitch $pitch): string => $pitch->name->text(), $breakdown->neck->tuning->pitches),
                        ),
                    ), self::retuned($breakdown, $classes));
                }
            }
        }

        return $remarks;
    }

    /** @return array<string, string> where it stands => what is written there */
    private static function words(Breakdown $breakdown): array
    {
        $words = ['The note to the song' => $breakdown->notes, 'The set-up' => $breakdown->setUp->line];
        foreach ($breakdown->passes as $number => $pass) {
            $words['The note to pass '.($number + 1)] = $pass->notes;
        }

        return $words;
    }

    /** @return list<int> pitch classes from the lowest string up */
    private static function classes(Tuning $tuning): array
    {
        return array_map(static fn (Pitch $pitch): int => $pitch->name->pitchClass(), $tuning->pitches);
    }

    /**
     * @param list<int> $classes
     *
     * @return list<array{text: string, breakdown: Breakdown}> the known tunings that have just these strings
     */
    private static function retuned(Breakdown $breakdown, array $classes): array
    {
        $fixes = [];
        foreach (Tuning::known() as $slug => [$name]) {
            $tuning = Tuning::parse($slug);
            if (in_array(self::classes($tuning), [$classes, array_reverse($classes)], true)) {
                $fixes[] = ['text' => "Tune to {$name}", 'breakdown' => $breakdown->with(neck: new Neck($tuning, $breakdown->neck->capo))];
            }
        }

        return $fixes;
    }
}
