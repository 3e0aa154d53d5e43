<?php

declare(strict_types=1);

use Gravik\Band\Style;
use Gravik\Performance\Event;
use Gravik\Performance\Performer;

it('has keys comp otherwise in every style, which the drums tell', function (string $groove, Style $style, array $ticks): void {
    $song = bandSong([], [keysPart()], $groove);
    $keys = array_filter(
        (new Performer())->perform($song)->events,
        static fn (Event $event): bool => $event->part->id === 'keys' && $event->tick < 3840,
    );

    expect($song->styles($song->course()))->toBe(array_fill(0, 4, $style))
        ->and(array_values(array_unique(array_map(static fn (Event $event): int => $event->tick, $keys))))->toBe($ticks);
})->with([
    ['four-walk', Style::Swing, [0, 1440]],
    ['straight-drive', Style::Straight, [0, 1920]],
    ['lantern-bossa', Style::Latin, [0, 1440, 2880]],
    ['sixteenth-funk', Style::Funk, [0, 1440, 2400]],
]);

it('goes by the feel where nobody keeps time', function (): void {
    $song = bandSong();
    $alone = $song->with(parts: [$song->guitar()]);

    expect($alone->styles($alone->course()))->toBe(array_fill(0, 4, Style::Swing));
});
