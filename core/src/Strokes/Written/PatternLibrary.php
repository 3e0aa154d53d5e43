<?php

declare(strict_types=1);

namespace Gravik\Strokes\Written;

use Gravik\Strokes\Action;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\PlayedBy;
use Gravik\Strokes\School;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Stroke;
use Gravik\Strokes\Zone;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\SwingUnit;

/** The patterns that ship with Gravik, written as they are counted. */
final readonly class PatternLibrary
{
    /** @return list<LibraryPattern> */
    public static function all(): array
    {
        /**
         * @var array<string, array{name: string, meter?: string, count?: string, bass?: string, upper?: string, roll?: list<int>, zone?: string, swing: array{float|int, string}, tempo: array{int, int}, school: string, difficulty: int, when: string, caution: string}> $entries
         */
        $entries = require __DIR__.'/Data/patterns.php';
        $all = [];
        foreach ($entries as $slug => $entry) {
            $meter = Meter::parse($entry['meter'] ?? '4/4');
            $all[] = new LibraryPattern($slug, $entry['name'], self::pattern($entry, $meter), Feel::fixed(
                (float) $entry['swing'][0],
                SwingUnit::from($entry['swing'][1]),
            ),
                $entry['tempo'], School::parse($entry['school']), $entry['difficulty'], $entry['when'], $entry['caution']);
        }

        return $all;
    }

    /** @param array{count?: string, bass?: string, upper?: string, roll?: list<int>, zone?: string, school: string} $entry */
    private static function pattern(array $entry, Meter $meter): Pattern
    {
        if (isset($entry['bass'], $entry['upper'])) {
            $bass = CountLine::parse($entry['bass'], $meter);
            $upper = CountLine::parse($entry['upper'], $meter);
            $thumb = $entry['school'] === School::ThumbFingers->value;

            return new Pattern($meter, $upper->ticks, [
                new Stream($thumb ? 'thumb' : 'bass', self::on($bass, Zone::Bass, Action::Pick, $thumb ? PlayedBy::Thumb : PlayedBy::Pick)),
                new Stream(
                    $thumb ? 'brushes' : 'upper',
                    self::on(
                        $upper,
                        Zone::High,
                        $thumb ? Action::Brush : Action::Strum,
                        $thumb || $entry['school'] === School::PickFingers->value ? PlayedBy::Fingers : PlayedBy::Pick,
                    ),
                ),
            ]);
        }
        $line = CountLine::parse($entry['count'] ?? '', $meter);
        $roll = $entry['roll'] ?? [];
        if ($roll !== []) {
            $strokes = [];
            foreach ($line->streams[0]->strokes as $place => $stroke) {
                $strokes[] = $stroke->striking([$roll[$place % count($roll)]], Action::Pick, $stroke->by);
            }

            return $line->withStreams([new Stream('roll', $strokes)]);
        }

        return isset($entry['zone'])
            ? $line->withStreams([new Stream('strum', self::on($line, Zone::from($entry['zone']), Action::Strum, PlayedBy::Pick))])
            : $line;
    }

    /** @return list<Stroke> */
    private static function on(Pattern $line, Zone $zone, Action $action, PlayedBy $by): array
    {
        return array_map(static fn (Stroke $stroke): Stroke => $stroke->striking($zone, $action, $by), $line->streams[0]->strokes);
    }
}
