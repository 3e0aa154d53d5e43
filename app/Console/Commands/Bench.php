<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\ChordAccuracy;
use App\Bench\Classroom;
use App\Bench\DemoClient;
use App\Bench\DemoServer;
use App\Bench\HearingAccuracy;
use App\Bench\InitialScript;
use App\Bench\PaperFigures;
use App\Bench\SongFigures;
use App\Bench\Stopwatch;
use App\Bench\UnderLoad;
use App\Compute\VoicedForms;
use Database\Seeders\DemoBreakdowns;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Toolbox;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\WavFile;
use Gravik\Formats\WavSource;
use Gravik\Harmony\ChordSymbol;
use Gravik\Listening\Hearing\StrokeListener;
use Gravik\Listening\Lock\LockReporter;
use Gravik\Listening\Lock\Take;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Line\PathFinder;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Performance\ChangeWindows;
use Gravik\Performance\Performer;
use Gravik\Simulation\RenderedBand;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Simulation\SimulatedTake;
use Gravik\Strokes\Hand\HandPlanner;
use Gravik\Strokes\Measures;
use Gravik\Strokes\School;
use Gravik\Strokes\Written\SlotLine;
use Illuminate\Console\Command;
use Symfony\Component\Process\Process;

/** Prints what was measured beside what is asked for. A benchmark, not a test: nothing fails when the machine is busy. */
final class Bench extends Command
{
    protected $signature = 'gravik:bench {--json} {--jit-with= : set by the command when it starts itself again with the JIT: the recording to be heard}';

    protected $description = 'Measure the figures that are asked for: median and worst of 20 after 3 warm-ups';

    private const CHORDS = ['C', 'Gm7', 'C9', 'B♭13', 'F♯m7♭5', 'E7♯9'];

    private const LINE = ['Dm6', 'B♭7', 'Gm7', 'A7', 'C9', 'F13', 'B♭6', 'Em7♭5'];

    public function handle(UnderLoad $underLoad, VoicedForms $voiced, PaperFigures $paper): int
    {
        $recording = $this->option('jit-with');
        if (! is_string($recording)) {
            return $this->againWithJit();
        }
        // Hearing comes first, and its recording is made before, as in a process of its own: the JIT compiles only so much, and
        // then leaves the rest as it is.
        $hearing = $this->hearing($recording);
        $rows = [
            ...$this->core(),
            $hearing,
            ...(new HearingAccuracy(DemoBreakdowns::all()[0]))->rows(),
            ...(new ChordAccuracy(DemoBreakdowns::all()[1]))->rows(),
            ...$paper->rows(),
            ...$this->http($voiced),
            ...$this->script(),
            ...$underLoad->rows(),
            ...(new Classroom())->rows(),
        ];
        if ($this->option('json') === true) {
            $this->output->writeln((string) json_encode(
                ['load' => sys_getloadavg(), 'figures' => $rows],
                JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT,
            ));

            return self::SUCCESS;
        }
        $this->output->writeln(sprintf(
            'PHP %s, JIT %s, load %s',
            PHP_VERSION,
            ini_get('opcache.jit'),
            implode(' ', array_map(static fn (float $load): string => number_format($load, 2), sys_getloadavg() ?: [])),
        ));
        $this->table(['what', 'median', 'worst', 'asked for'], array_map(static fn (array $row): array => [
            $row['what'], trim(sprintf('%s %s', self::figure($row['median']), $row['unit'])), $row['worst'] === null
                ? ''
                : trim(sprintf('%s %s', self::figure($row['worst']), $row['unit'])), $row['asked'],
        ], $rows));

        return self::SUCCESS;
    }

    private static function figure(float $value): string
    {
        return sprintf($value < 1 ? '%.3f' : '%.1f', $value);
    }

    private function againWithJit(): int
    {
        $flags = ['-d', 'opcache.enable=1', '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M'];
        $recording = (string) tempnam(sys_get_temp_dir(), 'gravik-bench-');
        $timeline = (new Performer())->perform(self::sixtyFourBars());
        file_put_contents($recording, (new SimulatedTake($timeline, (new SimulatedPlayer(0, 0, 8, 0, 1))->play($timeline, 32)))->wav());
        $process = new Process(
            [
                PHP_BINARY,
                ...$flags,
                base_path('artisan'),
                'gravik:bench',
                '--jit-with='.$recording,
                ...($this->option('json') === true ? ['--json'] : []),
            ],
            base_path(),
            null,
            null,
            null,
        );

        try {
            return $process->run(fn (string $type, string $text) => $this->output->write($text));
        } finally {
            unlink($recording);
        }
    }

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    private function core(): array
    {
        $neck = new Neck(Tuning::standard());
        $rows = [];
        foreach ([Company::Alone, Company::WithBass] as $company) {
            $finder = new VoicingFinder($neck, new FretRange(), $company);
            $slowest = null;
            foreach (self::CHORDS as $symbol) {
                $chord = ChordSymbol::parse($symbol);
                $measured = Stopwatch::of(static fn () => $finder->find($chord, 12));
                $slowest = $slowest === null || $measured->medianMs > $slowest[1]->medianMs ? [$symbol, $measured] : $slowest;
            }
            $rows[] = self::row(
                sprintf('voicings, %s, slowest of %d chords (%s)', $company->value, count(self::CHORDS), $slowest[0]),
                $slowest[1],
                'under 30 ms',
            );
        }
        $eight = new Neck(Tuning::parse('eight-string'));
        foreach ([[Company::Alone, 'under 150 ms'], [Company::WithBass, 'under 600 ms']] as [$company, $asked]) {
            $finder = new VoicingFinder($eight, new FretRange(), $company);
            $chord = ChordSymbol::parse('Gm7');
            $rows[] = self::row(
                sprintf('every grip of Gm7 on eight strings, %s', $company->value),
                Stopwatch::of(static fn () => $finder->all($chord)),
                $asked,
            );
        }
        $finder = new VoicingFinder($neck, new FretRange(), Company::WithBass);
        foreach ([[32, 30, 'under 100 ms'], [64, 60, 'under 250 ms']] as [$chords, $grips, $asked]) {
            $candidates = array_map(
                static fn (int $place): array => $finder->find(ChordSymbol::parse(self::LINE[$place % 8]), $grips)->best,
                range(0, $chords - 1),
            );
            $rows[] = self::row(
                "path, {$chords} chords of {$grips} candidates",
                Stopwatch::of(static fn () => (new PathFinder($neck))->cheapest($candidates)),
                $asked,
            );
        }
        $long = self::sixtyFourBars();
        $rows[] = self::row(
            'timeline of 64 bars, grips found anew',
            Stopwatch::of(static fn () => (new Performer())->perform($long)),
            'under 100 ms',
        );
        $voiced = [$long->lines[0]->id => Toolbox::of($long)->voiced()];
        $rows[] = self::row(
            'timeline of 64 bars, grips known from before',
            Stopwatch::of(static fn () => (new Performer())->perform($long, null, $voiced)),
            'under 100 ms',
        );
        $timeline = (new Performer())->perform($long, null, $voiced);
        $sixteenths = SlotLine::parse(str_repeat('X.cxc.xcccx.c.xc', 4), $long->start->meter, 4);
        $ruler = $long->start->ruler();
        $rows[] = self::row('directions and measures of four bars of sixteenths', Stopwatch::of(static fn () => [
            (new HandPlanner())->plan($sixteenths, School::Pendulum, $ruler, $long->start->feel), Measures::of($sixteenths, $ruler),
        ]), 'under 10 ms');
        $rows[] = self::row(
            'change windows of 64 bars',
            Stopwatch::of(static fn () => (new ChangeWindows($long->neck))->of($timeline)),
            '',
        );
        $started = hrtime(true);
        $band = new RenderedBand();
        WavFile::write($band->blocks($timeline), $band->samples($timeline), RenderedBand::RATE);
        $rows[] = [
            'what' => 'sound of 64 bars, times faster than it plays',
            'median' => round($timeline->seconds / ((hrtime(true) - $started) / 1e9), 1),
            'worst' => null,
            'unit' => '×',
            'asked' => 'over 8 ×',
        ];
        $taps = (new SimulatedPlayer(8, -20, 12, 0.02, 1))->taps($timeline, 64);
        $rows[] = self::row(
            'lock report over 64 bars',
            Stopwatch::of(static fn () => (new LockReporter())->report(Take::read($taps), $timeline, $long->start->feel->unit)),
            '',
        );

        return $rows;
    }

    /** @return array{what: string, median: float, worst: ?float, unit: string, asked: string} */
    private function hearing(string $path): array
    {
        $source = WavSource::open($path);
        $started = hrtime(true);
        (new StrokeListener())->hear($source);
        $times = round($source->seconds() / ((hrtime(true) - $started) / 1e9), 1);

        return [
            'what' => 'hearing a take of 32 bars, times faster than it plays',
            'median' => $times,
            'worst' => null,
            'unit' => '×',
            'asked' => 'over 25 ×',
        ];
    }

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    private function http(VoicedForms $voiced): array
    {
        $server = DemoServer::start();
        try {
            $client = new DemoClient($server->address());
            $document = (new BreakdownJson())->write(DemoBreakdowns::all()[0]);

            return [
                self::row(
                    'HTTP: voicings of C9',
                    Stopwatch::of(static fn () => $client->post('/api/compute/voicings', ['symbol' => 'C9', 'company' => 'with-bass'])),
                    'under 100 ms',
                ),
                self::row(
                    'HTTP: strokes of a pattern',
                    Stopwatch::of(static fn () => $client->post('/api/compute/strokes', ['document' => $document])),
                    'under 100 ms',
                ),
                self::row(
                    'HTTP: timeline of 16 bars',
                    Stopwatch::of(static fn () => $client->post('/api/compute/timeline', ['document' => $document])),
                    'under 100 ms',
                ),
                self::row('HTTP: the shelf', Stopwatch::of(static fn () => $client->get('/api/breakdowns')), ''),
                ...(new SongFigures($server, $client, $voiced))->rows(),
            ];
        } finally {
            $server->stop();
        }
    }

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    private function script(): array
    {
        $kilobytes = InitialScript::kilobytes();

        return $kilobytes === null
            ? []
            : [[
                'what' => 'JavaScript up to the first screen, gzipped',
                'median' => $kilobytes,
                'worst' => null,
                'unit' => 'kB',
                'asked' => 'under 450 kB',
            ]];
    }

    /** @return array{what: string, median: float, worst: ?float, unit: string, asked: string} */
    private static function row(string $what, Stopwatch $measured, string $asked): array
    {
        return $measured->row($what, $asked);
    }

    private static function sixtyFourBars(): Breakdown
    {
        $json = new BreakdownJson();
        $line = '| Dm6 | B♭7 | Gm7 A7 | Dm6 | Gm7 C9 | F6 D7♭9 | Gm7 A7 | Dm6 A7♭9 ';

        $demo = $json->write(DemoBreakdowns::all()[0]);
        $demo['lines'][0]['pins'] = [];

        return $json->read([
            'sections' => [['id' => 'a', 'name' => 'A', 'line' => str_repeat($line, 8)]],
            'form' => [['section' => 'a', 'times' => 1]],
            'placed' => [],
        ] + $demo);
    }
}
