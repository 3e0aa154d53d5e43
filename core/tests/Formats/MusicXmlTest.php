<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DraftFile;
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

it('writes every note at its pitch, spelled in its chord', function (): void {
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| B♭m7 | E♭7 | F♯m7♭5 | A♭6 |']]], 'x.......');
    $timeline = (new Performer())->perform($song);
    $written = [];
    foreach (scoreOf($song, $timeline)->xpath('//part[1]/measure/note[staff=1 and pitch]') ?: [] as $note) {
        $step = ['C' => 0, 'D' => 2, 'E' => 4, 'F' => 5, 'G' => 7, 'A' => 9, 'B' => 11][(string) $note->pitch->step];
        $written[] = [12 * ((int) $note->pitch->octave + 1) + $step + (int) $note->pitch->alter, $note->pitch->step.$note->pitch->alter];
    }
    $played = [];
    foreach ($timeline->strokes as $stroke) {
        foreach (array_map(static fn (int $string): int => (int) $stroke->voicing->midi[$string], $stroke->strings) as $midi) {
            $name = $stroke->voicing->chord->spell($midi % 12);
            $played[] = [$midi, 'CDEFGAB'[$name->letter].($name->alter === 0 ? '' : $name->alter)];
        }
    }

    expect($written)->toEqualCanonicalizing($played)->and(array_column($written, 1))->toContain('B-1', 'F1');
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

/** @param list<array{string, int}> $form section and how often in a row */
function inRows(array $form): Breakdown
{
    $json = new BreakdownJson();
    $document = $json->write(Examples::breakdown());
    $document['sections'] = [
        ['id' => 'a', 'name' => 'Verse', 'line' => '| Dm7 | G7 | C6 | A7 |'],
        ['id' => 'b', 'name' => 'Chorus', 'line' => '| F6 | Gm7 | C7 |', 'endings' => [
            ['times' => [1, 2], 'line' => '| F6 |'], ['times' => [3], 'line' => '| A7 | Dm7 |'],
        ]],
    ];
    $document['form'] = array_map(static fn (array $each): array => ['section' => $each[0], 'times' => $each[1]], $form);
    // A bass that leads on and a drummer who fills play another last bar before another section.
    $document['parts'] = array_values(array_filter($document['parts'], static fn (array $part): bool => $part['instrument'] === 'guitar'));
    $document['cells'] = [];

    return $json->read($document);
}

it('writes what is played several times in a row once, with its endings', function (): void {
    $signs = [];
    foreach (scoreOf(inRows([['a', 3], ['b', 3], ['a', 1]]))->part->measure as $measure) {
        foreach ($measure->barline as $line) {
            $signs[] = trim(sprintf('%s %s%s %s %s', $measure['number'], $line->repeat['direction'], $line->repeat['times'],
                $line->ending['number'], $line->ending['type']));
        }
    }

    expect($signs)->toBe(['1 forward', '4 backward3', '5 forward', '8  1, 2 start', '8 backward3 1, 2 stop', '9  3 start',
        '10  3 discontinue']);
});

it('gives repeats and endings back as the form they were', function (): void {
    $song = inRows([['a', 3], ['b', 3], ['a', 1]]);
    $draft = DraftFile::read((new MusicXmlFile())->write($song, (new Performer())->perform($song)))->breakdown;
    $chords = static fn (Breakdown $each): array => array_map(
        static fn ($chord): array => [$chord->tick, $chord->chord->text()],
        $each->course()->chords,
    );

    expect($chords($draft))->toBe($chords($song))
        ->and(array_map(static fn ($entry): array => [$entry->section, $entry->times], $draft->form))
        ->toBe([['s1', 3], ['s2', 3], ['s1', 1]])
        ->and(array_map(static fn ($ending): array => [$ending->times, $ending->line], $draft->sections[1]->endings))
        ->toBe([[[1, 2], '| F6 |'], [[3], '| A7 | Dm7 |']]);
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
