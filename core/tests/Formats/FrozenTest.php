<?php

declare(strict_types=1);

use Gravik\Band\Instrument;
use Gravik\Breakdown\Change\PartSetter;
use Gravik\Breakdown\Desk;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\HandSketch;
use Gravik\Formats\MidiFile;
use Gravik\Formats\MidiTake;
use Gravik\Formats\MidiTune;
use Gravik\Formats\ReportJson;
use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Performance\Performer;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Frozen;
use Gravik\Time\SwingUnit;

it('writes and reads files as it did', function (): void {
    $figures = [];
    $band = Frozen::full();
    foreach ([Instrument::SecondGuitar, Instrument::Bass, Instrument::Horns, Instrument::Keys] as $joins) {
        $band = (new PartSetter())->add($band, $joins);
    }
    foreach (['full' => $band, ...Frozen::documents(20)] as $name => $song) {
        $figures[$name] = static function () use ($song): array {
            $timeline = (new Performer())->perform($song);
            $midi = (new MidiFile())->write($song, $timeline);
            $desk = Desk::of($song);
            $ruler = $desk->ruler();

            return [
                bin2hex($midi), (new BreakdownJson())->print($song),
                static fn (): mixed => MidiTake::read($midi), static fn (): mixed => MidiTune::read(
                    $midi,
                    'Ebb',
                    $song->start->meter,
                    true,
                ),
                static fn (): mixed => MidiTune::read($midi, 'Ebb', $song->start->meter, false, 2),
                static fn (): mixed => HandSketch::of(
                    (new HandPlanner())->plan($desk->pattern(), $desk->school(), $ruler, $song->start->feel),
                    $ruler,
                ),
                static function () use ($timeline): mixed {
                    $taps = (new SimulatedPlayer(9.0, -12.0, 6.0, 0.1, 3, 9.0, 0.1))->taps($timeline, 16);
                    $report = (new LockReporter())->report(Take::read($taps), $timeline, SwingUnit::Eighth);

                    return [ReportJson::write($report), ReportJson::shown(ReportJson::write($report))];
                },
            ];
        };
    }
    $midi = (new MidiFile())->write(Examples::breakdown(), (new Performer())->perform(Examples::breakdown()));
    foreach (range(0, 240, 6) as $length) {
        $figures["MIDI cut at {$length}"] = static fn (): mixed => MidiTake::read(substr($midi, 0, $length));
    }
    foreach (range(8, 60, 2) as $place) {
        $figures["MIDI spoiled at {$place}"] = static fn (): mixed => MidiTake::read(substr_replace($midi, "\xF1", $place, 1));
    }
    $wav = WavFile::write([[0.0, 0.5, -0.5, 1.2, -1.2, 0.1]], 6, 22050);
    $figures['WAV'] = static fn (): string => bin2hex($wav);
    foreach ([...range(0, 44, 2), 50, 56] as $length) {
        $figures["WAV cut at {$length}"] = static function () use ($wav, $length): array {
            $path = tempnam(sys_get_temp_dir(), 'gravik-frozen-') ?: '';
            file_put_contents($path, substr($wav, 0, $length));

            try {
                $source = WavSource::open($path);

                return [$source->rate(), $source->seconds(), $source->remark(), iterator_to_array($source->blocks(), false)];
            } finally {
                unlink($path);
            }
        };
    }
    foreach ([0.0, 0.004, 0.01, 0.02, 1.0] as $left) {
        foreach ([0.0, 0.003, 0.005] as $offset) {
            $figures["stereo {$left} {$offset}"] = static function () use ($left, $offset): array {
                $tone = array_map(static fn (int $i): float => 0.4 * sin($i / 7), range(0, 2999));
                $frames = array_map(static fn (float $each): string => pack(
                    'vv',
                    (int) (32767 * ($each + $offset)) & 0xFFFF,
                    (int) (32767 * ($offset - (1 - sqrt($left)) * $each)) & 0xFFFF,
                ), $tone);
                $data = implode('', $frames);
                $path = tempnam(sys_get_temp_dir(), 'gravik-frozen-') ?: '';
                file_put_contents($path, 'RIFF'.pack('V', 36 + strlen($data)).'WAVEfmt '.pack('VvvVVvv', 16, 1, 2, 22050, 88200, 4, 16)
                    .'data'.pack('V', strlen($data)).$data);
                $source = WavSource::open($path);
                $samples = array_merge(...iterator_to_array($source->blocks(), false));
                unlink($path);

                return [count($samples), array_slice($samples, 0, 20), $source->remark()];
            };
        }
    }
    Frozen::hold('formats', $figures);
});
