<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\ChordReport;
use App\Bench\HearingReport;
use App\Bench\PlayedTruth;
use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Http\Resources\FeelResource;
use Gravik\Breakdown\Beginning;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\TakeFile;
use Gravik\Harmony\Key;
use Gravik\Listening\Chords\HeardChord;
use Gravik\Listening\Drafts\Drafter;
use Gravik\Listening\Drafts\HeardDraft;
use Gravik\Listening\Drafts\HeardPart;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Hearing\TuningHeard;
use Gravik\Neck\Company;
use Gravik\Neck\Tuning;
use Gravik\Quote;
use Gravik\Time\Meter;

final class Listen extends CoreCommand
{
    protected $signature = 'gravik:listen
        {file : WAV, MIDI or JSON taps; with --against a folder}
        {--against : measure the ear by the folder’s recordings, each with its NAME.truth.json as gravik:simulate writes it}
        {--tempo=}
        {--first-beat= : seconds of bar 1 beat 1}
        {--meter=}
        {--grid= : slots a beat}
        {--draft= : a breakdown is drafted of it into this file}
        {--role=solo : of the draft: solo, or with-bass where a bass player has the root}
        {--key= : of the draft, where it is known}
        {--json}';

    protected $description = 'Tempo, grid, swing and tuning of a recording, and its strums: '
        .'when each begins, its level, its length, ringing or dead';

    protected function compute(): void
    {
        if ($this->option('against') === true) {
            $this->measured($this->word('file'));

            return;
        }
        $file = $this->takeFile($this->word('file'));
        $meter = $this->text('meter') === '' ? $file->meter ?? Meter::parse('4/4') : Meter::parse($this->text('meter'));
        $grid = $this->number('grid') === null ? null : $this->whole('grid', 2);
        $reading = count($file->sure()) < FeelMeter::FEWEST
            ? null
            : (new FeelMeter())->measure($file->sure(), $meter, $this->tempo(), $this->number('first-beat'), $grid);
        $draft = $reading === null ? null : $this->draft($reading, $file);
        $this->answer(
            FeelResource::of($reading, $file->sure(), $file->hearing) + ['remark' => $file->remark] + ($draft === null ? [] : [
                'key' => $draft->heard->key->text(),
                'chords' => array_map(static fn (HeardChord $chord): array => [
                    'bar' => $chord->bar,
                    't' => round($chord->spans[0][0], 3),
                    'symbol' => $chord->chord->text(),
                    'chance' => round($chord->chance, 2),
                ], $draft->heard->chords),
            ]),
            [
                sprintf('%d strokes', count($file->sure())),
                ...($reading === null ? ['Too few strokes to measure a feel.'] : self::feel($reading)),
                ...($file->hearing?->tuning === null ? [] : [self::tuning($file->hearing->tuning)]),
                ...($file->remark === null ? [] : [$file->remark]),
                ...array_map(
                    static fn (HeardPart $part): string => sprintf(
                        '%s: %s (%d %% sure). %s',
                        $part->what,
                        $part->says,
                        (int) round(100 * $part->sure),
                        $part->why,
                    ),
                    $draft->parts ?? [],
                ),
                ...($draft->remarks ?? []),
            ],
        );
    }

    /** @throws UnusableInput */
    private function draft(FeelReading $reading, TakeFile $file): ?HeardDraft
    {
        $path = $this->text('draft');
        if ($path === '') {
            return null;
        }
        $draft = (new Drafter())->draft(
            $reading,
            $file->notes() ?? throw UnusableInput::needs('Taps have no notes: a draft is made of a recording or a MIDI file.'),
            Beginning::blank(),
            Company::parse($this->text('role', 'solo')),
            $this->text('key') === '' ? null : Key::parse($this->text('key')),
        );
        $written = @file_put_contents($path, (new BreakdownJson())->print($draft->breakdown));
        $written !== false || throw UnusableInput::cannotWrite($path);

        return $draft;
    }

    /** @throws UnusableInput */
    private function measured(string $folder): void
    {
        $report = new HearingReport();
        $all = $lines = $chords = [];
        foreach (is_dir($folder) ? glob(rtrim($folder, '/').'/*.wav') ?: [] : [] as $wav) {
            $all[basename($wav, '.wav')] = $one = $report->of($wav, PlayedTruth::strokes(substr($wav, 0, -4).'.truth.json'));
            $lines[] = self::told(basename($wav, '.wav'), HearingReport::sum([$one]));
            $held = PlayedTruth::chords(substr($wav, 0, -4).'.truth.json');
            if ($held !== null) {
                $chords[] = (new ChordReport())->of($wav, $held, $held['rootless']);
            }
        }
        if ($all === []) {
            throw UnusableInput::needs(
                sprintf('There are no recordings in "%s". Put NAME.wav and NAME.truth.json there.', Quote::short($folder)),
            );
        }
        $sum = HearingReport::sum(array_values($all));
        $bars = array_sum(array_column($chords, 'bars'));
        $harmony = $bars === 0 ? [] : ['chords' => [
            'bars' => $bars,
            'right' => array_sum(array_column($chords, 'right')) / $bars,
            'grips' => array_sum(array_column($chords, 'grips')) / $bars,
        ]];
        $this->answer(['takes' => array_map(static fn (array $one): array => HearingReport::sum([$one]), $all), 'all' => $sum] + $harmony, [
            ...$lines,
            self::told(sprintf('all %d', count($all)), $sum),
            ...array_map(static fn (array $told): string => sprintf(
                'Chords: root, third and seventh right in %.1f %% of %d bars, all strings of the grip in %.1f %%',
                100 * $told['right'],
                $told['bars'],
                100 * $told['grips'],
            ), array_values($harmony)),
        ]);
    }

    /** @param array{f: float, precision: float, recall: float, error_ms: float, bias_ms: float, dead: float, direction: float, untold: float} $sum */
    private static function told(string $name, array $sum): string
    {
        return sprintf(
            '%s: F %.3f (precision %.3f, recall %.3f), off by %.1f ms, bias %+.1f ms, dead or ringing right %.0f %%, '
                .'direction right %.0f %% of those told, untold %.0f %%',
            $name,
            $sum['f'],
            $sum['precision'],
            $sum['recall'],
            $sum['error_ms'],
            $sum['bias_ms'],
            100 * $sum['dead'],
            100 * $sum['direction'],
            100 * $sum['untold'],
        );
    }

    /** @return list<string> */
    private static function feel(FeelReading $reading): array
    {
        $swing = $reading->swing;

        return [
            sprintf(
                '%.1f beats a minute, %+.1f a minute; %d to the beat, scattered by %d ms',
                $reading->tempoBpm,
                $reading->driftBpmPerMin,
                $reading->grid,
                (int) round($reading->spreadMs),
            ),
            $swing === null
                ? 'No pairs to tell a swing from'
                : sprintf(
                    'Swing %.2f : 1, between %.2f and %.2f, from %d pairs%s',
                    $swing->ratio,
                    $swing->low,
                    $swing->high,
                    $swing->pairs(),
                    $swing->isSure() ? '' : ' (not sure)',
                ),
        ];
    }

    private static function tuning(TuningHeard $tuning): string
    {
        return sprintf(
            'Tuned %+d cents from A = 440, nearest to %s',
            (int) round($tuning->cents),
            implode(
                ' or ',
                array_map(static fn (Tuning $near): string => Tuning::known()[$near->slug][0] ?? $near->slug, $tuning->nearest()),
            ),
        );
    }
}
