<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Band\BandNote;
use Gravik\Band\Tune;
use Gravik\Breakdown\Breakdown;
use Gravik\Formats\Failure\FieldNotReadable;

/**
 * The tune of a lead: a name, its notes, and the passes it is played in.
 *
 * @internal used by BandJson
 */
final readonly class TuneJson
{
    private const DIVISIONS = [1, 2, 3, 4, 6];

    public function read(Fields $fields): Tune
    {
        $fields->only(['name', 'notes', 'passes']);

        return $fields->build(static fn (): Tune => new Tune(
            $fields->string('name'),
            $fields->list('notes', self::note(...), Tune::MOST_NOTES),
            $fields->has('passes') ? $fields->list('passes', Fields::stringIn(...), Breakdown::MOST['passes']) : null,
        ));
    }

    /** @return array<string, mixed> */
    public function write(Tune $tune): array
    {
        return [
            'name' => $tune->name,
            'notes' => array_map(static fn (BandNote $note): array => [
                $note->tick,
                $note->until - $note->tick,
                $note->division,
                $note->pitch,
                (int) round(127 * $note->loudness),
            ], $tune->notes),
        ] + ($tune->passes === null ? [] : ['passes' => $tune->passes]);
    }

    /** Tick, length, division of the beat, MIDI number, and velocity of 1 to 127. */
    private static function note(mixed $value, string $pointer): BandNote
    {
        if (! is_array($value) || ! array_is_list($value) || count($value) !== 5) {
            throw new FieldNotReadable($pointer, 'a note of a tune is five numbers: tick, length, division, pitch and velocity.');
        }
        [$tick, $ticks, $division, $pitch, $velocity] = array_map(
            static fn (mixed $number, int $place): int => Fields::intIn($number, "{$pointer}/{$place}"),
            $value,
            array_keys($value),
        );
        if (! in_array($division, self::DIVISIONS, true) || $velocity < 1 || $velocity > 127) {
            throw new FieldNotReadable(
                $pointer,
                'a note of a tune lies in halves, thirds, quarters or sixths of a beat, at a velocity of 1 to 127.',
            );
        }

        return new BandNote($tick, $tick + $ticks, $division, $pitch, $velocity / 127);
    }
}
