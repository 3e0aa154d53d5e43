<?php

declare(strict_types=1);

use Gravik\Breakdown\Change\MelodyKeeper;
use Gravik\Breakdown\Desk;
use Gravik\Breakdown\Failure\MelodyPastTheEnd;
use Gravik\Breakdown\Failure\MelodyTooDense;
use Gravik\Breakdown\MelodyOverForm;
use Gravik\Neck\Melody\HarmonisedNote;
use Gravik\Performance\Event;
use Gravik\Performance\EventKind;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;

it('harmonises each note over its chord; the tonic stands in over silence and beyond the end', function (
    string $melody,
    int $bar,
    array $chords,
): void {
    $breakdown = Examples::breakdown(['key' => 'E minor', 'sections' => [['name' => 'A', 'line' => '| Em Am | N.C. | B7 |']]]);
    $line = array_merge(...(new MelodyOverForm())->bars($breakdown, $melody, $bar));

    expect(array_map(static fn (HarmonisedNote $note): string => $note->chord->text(), $line))->toBe($chords);
})->with([
    'two chords share the notes of their bar' => ['E4 G4 A4 C5', 0, ['Em', 'Em', 'Am', 'Am']],
    'a silent bar' => ['B4', 1, ['Em']],
    'from the last bar on' => ['B4 D♯5 | G4', 2, ['B7', 'B7', 'Em']],
]);

/** Two sections of E minor, four bars and two. */
function melodySong(): Gravik\Breakdown\Breakdown
{
    return Examples::breakdown(['key' => 'E minor', 'sections' => [
        ['name' => 'A', 'line' => '| Em | Am | B7 | Em |'], ['name' => 'B', 'line' => '| Am | B7 |'],
    ]]);
}

it('keeps a melody as figures that sound as it was harmonised, and lets held notes ring on', function (
    string $melody,
    int $bar,
    array $figures,
    array $first,
): void {
    $kept = (new MelodyKeeper())->keep(Desk::of(melodySong()), $melody, $bar);
    $harmonised = array_merge(...(new MelodyOverForm())->bars(melodySong(), $melody, $bar));
    $timeline = (new Performer())->perform($kept);
    [$from, $until] = array_map($timeline->secondsOfBars(...), [$bar, $bar + substr_count($melody, '|') + 1]);
    $events = array_filter(
        $timeline->events,
        static fn (Event $event): bool => $event->kind === EventKind::Ring && $event->t > $from - 0.01 && $event->t < $until - 0.01,
    );
    $sounding = $held = $ringing = [];
    foreach ($harmonised as $order => $note) {
        $rings = $note->held && ! in_array($order, $first, true);
        $sounding = [...$sounding, ...($rings ? [] : [$note->midi[0]]), $note->midi[1]];
        $held = [...$held, ...($rings ? [$note->midi] : [])];
    }
    foreach ($held as [$below, $above]) {
        foreach ($events as $upper) {
            $ringing[] = $upper->pitch === $above && array_filter($events, static fn (Event $lower): bool => $lower->pitch === $below
                && $lower->t < $upper->t && $lower->t + $lower->dur > $upper->t + 0.1) !== [];
        }
    }
    $played = array_column($events, 'pitch');
    sort($played);
    sort($sounding);

    expect(array_column($kept->figures, 'name'))->toBe($figures)
        ->and($played)->toBe($sounding)
        ->and($held)->not->toBe([])
        ->and(count(array_filter($ringing)))->toBe(count($held));
})->with([
    'a bar' => ['E4 G4 A4 B4', 0, ['melody, bar 1'], [0]],
    'over the end of a section' => ['E4 G4 | B4 C5 B4', 3, ['melody, bar 4', 'melody, bar 5'], [0, 2]],
]);

it('refuses a melody that runs past the end of the song, or more notes than can be counted', function (): void {
    expect(static fn () => (new MelodyKeeper())->keep(Desk::of(melodySong()), 'E4 | E4 | E4', 4))
        ->toThrow(static fn (MelodyPastTheEnd $problem) => expect([$problem->bars, $problem->left])->toBe([3, 2]))
        ->and(static fn () => (new MelodyKeeper())->keep(Desk::of(melodySong()), 'E4 |'.str_repeat(' E4 G4', 13), 0))
        ->toThrow(static fn (MelodyTooDense $problem) => expect([$problem->bar, $problem->notes, $problem->most])->toBe([1, 26, 24]));
});
