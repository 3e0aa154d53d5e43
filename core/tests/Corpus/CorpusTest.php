<?php

declare(strict_types=1);

use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;

const CORPUS_PARTS = 9;

/** @return list<array{document: array<string, mixed>, seconds: int, events: list<string>}> */
function corpus(string $name): array
{
    $lines = explode("\n", trim((string) gzdecode((string) file_get_contents(__DIR__."/{$name}.jsonl.gz"))));

    return array_map(static fn (string $line): array => json_decode($line, true, 64, JSON_THROW_ON_ERROR), $lines);
}

/** @return list<string> */
function frozen(Timeline $timeline): array
{
    return array_map(static fn (Event $event): string => implode(' ', [
        $event->part->instrument->value, $event->kind->value, (int) round(1e6 * $event->t), (int) round(1e6 * $event->dur),
        $event->pitch ?? '-', round($event->velocity, 4), $event->string ?? '-', $event->fret ?? '-', $event->direction?->value ?? '-',
        implode(',', array_map(static fn (array $point): string => round($point[0], 4).':'.round($point[1], 3), $event->glide)),
    ]), $timeline->events);
}

/**
 * In version 1 a few actions and fingers could be chosen and changed nothing. They have their effect now; the events of then
 * are those of a plain stroke.
 *
 * @param array<string, mixed> $document
 *
 * @return array<string, mixed>
 */
function withoutWhatDidNothing(array $document): array
{
    foreach ($document['pattern']['streams'] as &$stream) {
        foreach ($stream['strokes'] as &$stroke) {
            $stroke['action'] = in_array(
                $stroke['action'] ?? '',
                ['pinch', 'rake', 'slap', 'tap-damp'],
                true,
            ) ? 'strum' : $stroke['action'] ?? 'strum';
            $stroke['by'] = in_array($stroke['by'] ?? '', ['i', 'm', 'a', 'pick+finger'], true) ? 'pick' : $stroke['by'] ?? 'pick';
        }
    }

    return $document;
}

it('plays every document of version 1 as it played then, to the microsecond, also after being saved anew', function (int $part): void {
    $json = new BreakdownJson();
    $played = 0;
    foreach (corpus('version-1') as $place => $then) {
        if ($place % CORPUS_PARTS !== $part) {
            continue;
        }
        $breakdown = $json->read($json->write($json->read(withoutWhatDidNothing($then['document']))));
        $timeline = (new Performer())->perform($breakdown);
        expect(frozen($timeline))->toBe($then['events'], $breakdown->title)
            ->and((int) round(1e6 * $timeline->seconds))->toBe($then['seconds']);
        $played++;
    }
    expect($played)->toBe(207 / CORPUS_PARTS);
})->with(range(0, CORPUS_PARTS - 1));
