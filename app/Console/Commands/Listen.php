<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\ChordReport;
use App\Bench\HearingReport;
use App\Console\CoreCommand;
use App\Console\UnusableInput;
use App\Http\Resources\FeelResource;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Feel\FeelReading;
use Gravik\Listening\Hearing\TuningHeard;
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
        $this->answer(
            FeelResource::of($reading, $file->sure(), $file->hearing) + ['remark' => $file->remark],
            [
                sprintf('%d strokes', count($file->sure())),
                ...($reading === null ? ['Too few strokes to measure a feel.'] : self::feel($reading)),
                ...($file->hearing?->tuning === null ? [] : [self::tuning($file->hearing->tuning)]),
                ...($file->remark === null ? [] : [$file->remark]),
            ],
        );
    }

    /** @throws UnusableInput */
    private function measured(string $folder): void
    {
        $report = new HearingReport();
        $all = $lines = $chords = [];
        foreach (is_dir($folder) ? glob(rtrim($folder, '/').'/*.wav') ?: [] : [] as $wav) {
            $all[basename($wav, '.wav')] = $one = $report->of($wav, self::truth(substr($wav, 0, -4).'.truth.json'));
            $lines[] = self::told(basename($wav, '.wav'), HearingReport::sum([$one]));
            $held = self::held(substr($wav, 0, -4).'.truth.json');
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

    /**
     * @return array{first_beat: float, strokes: list<array{t: float, direction: string, muted: bool}>}
     *
     * @throws UnusableInput
     */
    private static function truth(string $path): array
    {
        $truth = is_file($path) ? json_decode((string) file_get_contents($path), true) : null;
        if (! is_array($truth) || ! is_array($truth['strokes'] ?? null) || ! is_numeric($truth['first_beat'] ?? null)) {
            throw UnusableInput::needs(
                sprintf('"%s" does not say what was played: first_beat and strokes are missing.', Quote::short($path)),
            );
        }
        $strokes = [];
        foreach ($truth['strokes'] as $stroke) {
            $told = (is_array($stroke) ? $stroke : []) + ['t' => 0, 'direction' => '', 'muted' => false];
            ['t' => $t, 'direction' => $direction, 'muted' => $muted] = $told;
            $strokes[] = ['t' => (float) $t, 'direction' => (string) $direction, 'muted' => (bool) $muted];
        }

        return ['first_beat' => (float) $truth['first_beat'], 'strokes' => $strokes];
    }

    /**
     * What chords were held, where the truth says it.
     *
     * @return ?array{key: string, rootless: bool, bars: list<array{t: float, until: float, symbol: string, midi: list<int>}>}
     */
    private static function held(string $path): ?array
    {
        $truth = json_decode((string) file_get_contents($path), true);
        if (! is_array($truth) || ! is_array($truth['bars'] ?? null) || ! is_string($truth['key'] ?? null)) {
            return null;
        }
        $bars = [];
        foreach ($truth['bars'] as $bar) {
            $told = (is_array($bar) ? $bar : []) + ['t' => 0, 'until' => 0, 'symbol' => 'C', 'midi' => []];
            $bars[] = [
                't' => (float) $told['t'],
                'until' => (float) $told['until'],
                'symbol' => (string) $told['symbol'],
                'midi' => array_map(intval(...), array_values((array) $told['midi'])),
            ];
        }

        return ['key' => $truth['key'], 'rootless' => ($truth['rootless'] ?? false) === true, 'bars' => $bars];
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
