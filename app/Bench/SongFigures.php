<?php

declare(strict_types=1);

namespace App\Bench;

use App\Compute\VoicedForms;
use Gravik\Ensemble\ClashReport;
use Gravik\Ensemble\ClashReporter;
use Gravik\Formats\BreakdownJson;
use Gravik\Performance\Performer;
use Gravik\Performance\Timeline;
use PDO;
use RuntimeException;

/** What a whole song costs: one changed cell of it, its way to the browser, and documents of an older version. */
final readonly class SongFigures
{
    private const UPGRADED = 10_000;

    public function __construct(private DemoServer $server, private DemoClient $client, private VoicedForms $voiced) {}

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    public function rows(): array
    {
        $changes = 0;
        $ask = fn (): string => $this->client->post('/api/compute/timeline', ['document' => LongSong::document($changes++)]);
        $heard = $ask();
        $play = function () use (&$changes): Timeline {
            $song = (new BreakdownJson())->read(LongSong::document($changes++));

            return (new Performer())->perform($song, null, $this->voiced->all($song));
        };
        $whole = array_map(LongSong::inFivePasses(...), range(0, 80));
        $next = 0;
        $cold = static function () use ($whole, &$next): Timeline {
            return (new Performer())->perform((new BreakdownJson())->read($whole[$next++ % 81]));
        };
        $changed = function () use ($whole, &$next): Timeline {
            $song = (new BreakdownJson())->read($whole[$next++ % 81]);

            return (new Performer())->perform($song, null, $this->voiced->all($song));
        };
        $changed();
        $type = function () use ($whole, &$next): string {
            $document = $whole[0];
            $document['sections'][0]['line'] .= ' Gm7 '.substr('C9sus4', 0, 1 + $next++ % 6);

            return $this->client->post('/api/compute/chart', ['document' => $document]);
        };
        $write = fn (): string => $this->client->post('/api/compute/figure', [
            'document' => $whole[0], 'pass' => '2', 'section' => $whole[0]['sections'][0]['id'], 'ending' => null, 'bar' => 4, 'id' => null,
            'name' => '', 'typed' => [
                '1=1:5 &=2:'.(1 + $next++ % 12).' 2=2:8 (&) 3 (4)',
            ], 'relative_to' => 'chord', 'octave' => 0, 'near' => null,
        ]);
        $bands = array_map(LongSong::withBand(...), range(0, 24));
        $six = static function () use ($bands, &$next): Timeline {
            return (new Performer())->perform($bands[$next++ % 25]);
        };
        $played = (new Performer())->perform($bands[0]);
        $report = static fn (): ClashReport => (new ClashReporter())->report($bands[0], $played);
        $old = self::old();
        $today = (new BreakdownJson())->write((new BreakdownJson())->parse($old));

        return [
            self::row('timeline of 64 bars after one changed cell', Stopwatch::of($play), 'under 40 ms'),
            self::row('HTTP: timeline of 64 bars after one changed cell', Stopwatch::of($ask), ''),
            [
                'what' => 'timeline of 64 bars, gzipped',
                'median' => round(strlen((string) gzencode($heard)) / 1000, 1),
                'worst' => null,
                'unit' => 'kB',
                'asked' => 'under 60 kB',
            ],
            self::row('timeline of 160 bars in five passes with figures, nothing known before', Stopwatch::of($cold), 'under 300 ms'),
            self::row('the same after one changed cell', Stopwatch::of($changed), 'under 40 ms'),
            self::row('timeline of 160 bars with six parts, nothing known before', Stopwatch::of($six), 'under 300 ms'),
            self::row('clash report of 160 bars with six parts', Stopwatch::of($report), 'under 150 ms'),
            self::row('HTTP: chart of 160 bars after one more letter', Stopwatch::of($type), 'under 60 ms'),
            self::row('HTTP: figure after one more digit', Stopwatch::of($write), 'under 60 ms'),
            self::row('reading a document of version 1', Stopwatch::of(static fn () => (new BreakdownJson())->parse($old)), ''),
            self::row('reading the same as it is written today', Stopwatch::of(static fn () => (new BreakdownJson())->read($today)), ''),
            $this->upgrading($old),
        ];
    }

    /**
     * A school's breakdowns, each with a version to go back to, as an older Gravik left them.
     *
     * @return array{what: string, median: float, worst: ?float, unit: string, asked: string}
     */
    private function upgrading(string $old): array
    {
        $this->server->artisan('gravik:make-school', '--force', '--takes=0', '--breakdowns='.self::UPGRADED);
        $rows = new PDO('sqlite:'.$this->server->folder.'/gravik.sqlite');
        $rows->prepare('update breakdowns set document = ?')->execute([$old]);
        $rows->prepare(<<<'SQL'
            insert into breakdown_revisions (breakdown_id, saved_by, number, sitting, document)
            select id, owner_id, revision, 'bench', ? from breakdowns
            SQL)->execute([$old]);
        $started = hrtime(true);
        $this->server->artisan('gravik:upgrade');

        return [
            'what' => 'upgrading 10,000 stored breakdowns with a version each',
            'median' => round((hrtime(true) - $started) / 1e9, 1),
            'worst' => null,
            'unit' => 's',
            'asked' => 'under 120 s',
        ];
    }

    /** A breakdown as the first version of the document held it. */
    private static function old(): string
    {
        return file_get_contents(__DIR__.'/Data/version-1.gravik.json') ?: throw new RuntimeException('The document of version 1 is missing.');
    }

    /** @return array{what: string, median: float, worst: ?float, unit: string, asked: string} */
    private static function row(string $what, Stopwatch $measured, string $asked): array
    {
        return $measured->row($what, $asked);
    }
}
