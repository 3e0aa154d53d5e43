<?php

declare(strict_types=1);

use Database\Seeders\DemoBreakdowns;
use Database\Seeders\DemoSongs;
use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;

it('ships songs whose every chord has a grip, whose every pass sounds, and that are read as they are written', function (Breakdown $song): void {
    $json = new BreakdownJson();
    $timeline = (new Performer())->perform($song);
    $unheld = [];
    foreach ($timeline->voiced as $voiced) {
        foreach ($voiced->path->voicings as $place => $voicing) {
            $unheld = $voicing->midi === array_fill(0, count($voicing->midi), null) ? [
                ...$unheld,
                $voiced->form->chords[$place]->chord->text(),
            ] : $unheld;
        }
    }
    $sounding = array_unique(array_map(
        static fn ($stroke): string => $timeline->course->visits[$timeline->course->bars[$stroke->bar]->visit]->pass,
        $timeline->strokes,
    ));

    expect($json->write($json->read($json->write($song))))->toBe($json->write($song))
        ->and($unheld)->toBe([])
        ->and(array_values($sounding))->toBe(array_map(static fn ($pass): string => $pass->id, $song->passes));
})->with(fn (): array => array_column(
    array_map(static fn (Breakdown $song): array => [$song->title, [$song]], [...DemoBreakdowns::all(), ...DemoSongs::all()]),
    1,
    0,
));
