<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\Internal\Score\NoteValue;
use Gravik\Formats\MusicXmlFile;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;

function scoreOf(Breakdown $song, ?Timeline $timeline = null): SimpleXMLElement
{
    return new SimpleXMLElement((new MusicXmlFile())->write($song, $timeline ?? (new Performer())->perform($song)), LIBXML_NONET);
}

it('fills every bar of every staff to the tick', function (Breakdown $song): void {
    $timeline = (new Performer())->perform($song);
    $score = scoreOf($song, $timeline);
    foreach ($score->part as $part) {
        expect(count($part->measure))->toBe(count($timeline->course->bars));
        foreach ($part->measure as $measure) {
            $bar = $timeline->course->bars[(int) $measure['number'] - 1];
            $lengths = [];
            foreach ($measure->note as $note) {
                if (! isset($note->chord, $note->duration) && ! isset($note->grace)) {
                    $lengths[(string) $note->voice] = ($lengths[(string) $note->voice] ?? 0) + (isset($note->chord) ? 0 : (int) $note->duration);
                }
            }
            foreach ($lengths as $length) {
                expect($length)->toBe($bar->meter->barTicks());
            }
        }
    }
})->with(['a song' => [fn () => Examples::breakdown()], 'every field' => [fn () => Frozen::full()],
    'thirds' => [fn () => Examples::breakdown([], 'x.xx.xx.xx.x', 3)]]);

it('has every note of the guitar where the timeline has it, on its string and fret', function (): void {
    $song = Examples::breakdown(['feel' => Examples::swing(1.8)], 'X.c.xgx.');
    $timeline = (new Performer())->perform($song);
    $written = [];
    $tick = 0;
    foreach (scoreOf($song, $timeline)->part[0]->measure as $measure) {
        $tick = 3840 * ((int) $measure['number'] - 1);
        foreach ($measure->children() as $name => $element) {
            if ($name === 'backup') {
                $tick = 3840 * ((int) $measure['number'] - 1);
            }
            if ($name !== 'note') {
                continue;
            }
            $at = isset($element->chord) ? $last : $tick;
            $fret = $element->notations->technical->fret ?? null;
            if ($fret !== null && count($element->xpath('tie[@type="stop"]')) === 0) {
                $written[] = [$at, (int) $element->notations->technical->string, (int) $fret];
            }
            [$last, $tick] = isset($element->chord) ? [$last, $tick] : [$tick, $tick + (int) $element->duration];
        }
    }
    $played = [];
    foreach ($timeline->strokes as $stroke) {
        foreach ($stroke->strings as $string) {
            $played[] = [$stroke->tick, 6 - $string, (int) $stroke->voicing->frets[$string]];
        }
    }
    sort($written);
    sort($played);

    expect($written)->toBe($played)->and(count($written))->toBeGreaterThan(20);
});

it('tells strokes, muting, weight, swing, tempo and chords in the format’s own words', function (): void {
    $song = Examples::breakdown(['tempo' => 126, 'feel' => Examples::swing(1.5)], 'X.c.xgx.');
    $score = scoreOf($song);
    $has = static fn (string $path): int => count($score->xpath($path) ?: []);

    expect($has('//note/notehead[text()="x"]'))->toBeGreaterThan(0)
        ->and($has('//notehead[@parentheses="yes"]'))->toBeGreaterThan(0)
        ->and($has('//articulations/accent'))->toBeGreaterThan(0)
        ->and($has('//technical/down-bow'))->toBeGreaterThan(0)->and($has('//technical/up-bow'))->toBeGreaterThan(0)
        ->and($has('//arpeggiate[@direction="up"]'))->toBeGreaterThan(0)
        ->and((string) $score->xpath('//swing/first')[0].':'.$score->xpath('//swing/second')[0])->toBe('3:2')
        ->and((float) $score->xpath('//sound/@tempo')[0])->toBe(126.0)
        ->and((string) $score->xpath('(//harmony)[1]/kind')[0])->toBe('minor')
        ->and((string) $score->xpath('(//harmony)[2]/kind/@text')[0])->toBe('7')
        ->and($has('(//harmony)[1]/frame/frame-note'))->toBeGreaterThan(2);
});

it('writes a length as notes that add up to it, each a value there is', function (int $ticks): void {
    $values = NoteValue::split($ticks);

    expect(array_sum(array_map(static fn (NoteValue $value): int => $value->ticks, $values)))->toBe($ticks)
        ->and(count($values))->toBeLessThanOrEqual(4);
})->with([60, 80, 120, 160, 240, 320, 360, 480, 600, 640, 720, 800, 960, 1280, 1440, 1600, 1920, 2400, 2880, 3360, 3840, 5760]);

it('packs the score as programs exchange it', function (): void {
    $packed = Gravik\Formats\MxlFile::pack('<score-partwise/>');
    // Entries are dated to two seconds, counted from 1980: with a date of its own it is the same file whenever it is packed.
    expect((unpack('v', substr($packed, 12, 2))[1] ?? -1) >> 9)->toBe(0);
    $path = (string) tempnam(sys_get_temp_dir(), 'mxl');
    file_put_contents($path, $packed);
    $zip = new ZipArchive();

    expect($zip->open($path, ZipArchive::RDONLY))->toBeTrue()
        ->and($zip->statIndex(0)['name'] ?? '')->toBe('mimetype')->and($zip->statIndex(0)['comp_method'] ?? 9)->toBe(ZipArchive::CM_STORE)
        ->and($zip->getFromName('score.musicxml'))->toBe('<score-partwise/>')
        ->and((string) $zip->getFromName('META-INF/container.xml'))->toContain('full-path="score.musicxml"');
    unlink($path);
});
