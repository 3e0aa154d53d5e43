<?php

declare(strict_types=1);

namespace Gravik\Handout\Internal;

use Gravik\Breakdown\MarkKind;
use Gravik\Breakdown\MarkReader;
use Gravik\Breakdown\PassDifferences;
use Gravik\Handout\Block;
use Gravik\Handout\Song;

/**
 * What is said in words: passes, notes, marks, cautions.
 *
 * @internal used by the handout
 */
final class WordBlocks
{
    private const SIZE = 12.5;

    /** @return list<Block> what each pass does otherwise, and the notes to it */
    public static function passes(Song $song, float $width): array
    {
        $passes = $song->breakdown->passes;
        if (count($passes) === 1 && $passes[0]->notes === '') {
            return [];
        }
        $differences = (new PassDifferences($song->breakdown))->words();
        $blocks = [Heading::of('Passes', 'one line for each time through', $width)];
        foreach ($passes as $place => $pass) {
            $words = array_filter([
                $pass->name,
                $pass->lead === '' ? '' : "{$pass->lead} leads",
                rtrim($differences[$place] ?? '', '.'),
                $pass->notes,
            ], static fn (string $each): bool => $each !== '');
            $blocks = [...$blocks, ...Heading::lines(implode(' · ', $words), self::SIZE, $width, (string) ($place + 1))];
        }

        return $blocks;
    }

    /** @return list<Block> */
    public static function notes(Song $song, float $width): array
    {
        return trim($song->breakdown->notes) === '' ? [] : [
            Heading::of('Notes', '', $width),
            ...Heading::lines(trim($song->breakdown->notes), self::SIZE, $width),
        ];
    }

    /** @return list<Block> both values of what is unsure or may be either way */
    public static function marks(Song $song, float $width): array
    {
        $reader = new MarkReader($song->breakdown);
        $blocks = [];
        foreach ($song->breakdown->marks as $mark) {
            $place = $reader->place($mark);
            if ($place !== null) {
                $value = $reader->value($mark);
                $told = match ($mark->is) {
                    MarkKind::Unsure => "{$place}: {$value}".($mark->other === '' ? '' : ", or {$mark->other}").'. Unsure.',
                    MarkKind::Either => "{$place}: {$value} or {$mark->other}, either is fine. Keep the one you start with.",
                    MarkKind::Colour => "{$place}: {$value}, off the chord on purpose.",
                };
                $sign = match ($mark->is) {
                    MarkKind::Unsure => '?',
                    MarkKind::Either => 'or',
                    MarkKind::Colour => '•',
                };
                $blocks = [
                    ...$blocks,
                    ...Heading::lines(ucfirst($told).($mark->note === '' ? '' : " {$mark->note}"), self::SIZE, $width, $sign),
                ];
            }
        }

        return $blocks === [] ? [] : [Heading::of('Unsure, or either way', '', $width), ...$blocks];
    }

    /** @return list<Block> advice; it defers to local rules and to whoever is licensed */
    public static function cautions(Song $song, float $width): array
    {
        $lines = [
            'Hands: a light grip, a break of five minutes in every twenty-five; at pain, numbness or tingling stop, and see a licensed clinician.',
            'Ears: below a voice is loud enough. Local rules and hearing specialists come before any of our figures.',
        ];
        if ($song->breakdown->neck->tuning->slug !== 'standard') {
            $lines[] = 'Strings: retune slowly, face away; a string raised by more than two semitones may break.';
        }

        return [
            Heading::of('Cautions', 'advice, not medicine', $width),
            ...array_merge(...array_map(static fn (string $line): array => Heading::lines($line, 11.5, $width), $lines)),
        ];
    }
}
