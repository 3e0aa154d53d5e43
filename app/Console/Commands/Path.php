<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Http\Resources\VoicingResource;
use Gravik\Chart\ChartLine;
use Gravik\Chart\Failure\LineEmpty;
use Gravik\Chart\Failure\LineNotReadable;
use Gravik\Chart\Form;
use Gravik\Chart\FormVoicer;
use Gravik\Chart\Section;
use Gravik\Chart\Setting;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\Failure\NeckChoiceUnknown;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Line\BassMotion;
use Gravik\Neck\Line\PathFinder;
use Gravik\Neck\Line\PathWishes;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;
use Gravik\Time\Feel;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

final class Path extends CoreCommand
{
    protected $signature = 'gravik:path {line} {--key=C} {--meter=4/4} {--tuning=standard} {--capo=0} {--role=solo} {--hand=medium} {--window=0-15} {--strings=} {--keep-top} {--bass=free} {--parallel} {--loop} {--json}';

    protected $description = 'One grip for every chord of a line, at the least cost over the best candidates';

    protected function compute(): void
    {
        $key = Key::parse($this->text('key'));
        $meter = Meter::parse($this->text('meter'));
        $tuning = Tuning::parse($this->text('tuning'));
        $capo = $this->whole('capo', 0);
        $strings = $this->text('strings');
        $neck = new Neck($tuning, $capo, $strings === '' ? null : Neck::parseStrings($strings, $tuning->strings()));
        $wishes = new PathWishes(
            keepTop: $this->option('keep-top') === true,
            bass: BassMotion::tryFrom($this->text('bass'))
                ?? throw new NeckChoiceUnknown('bass motion', $this->text('bass'), 'free, stepwise'),
            parallel: $this->option('parallel') === true,
            loop: $this->option('loop') === true,
        );
        $line = $this->word('line');
        $reading = (new ChartLine($key, $meter))->read($line);
        if ($reading->problems !== []) {
            throw new LineNotReadable($reading->problems[0]);
        }
        $form = Form::of([new Section('a', 'line', $line)], new Setting($key, $meter, new Tempo(120), Feel::straight()));
        if ($form->chords === []) {
            throw new LineEmpty();
        }
        $finder = new VoicingFinder(
            $neck,
            FretRange::parse($this->text('window')),
            Company::parse($this->text('role')),
            HandProfile::parse($this->text('hand')),
        );
        $path = (new FormVoicer($finder, new PathFinder($neck, $wishes)))->voice($form, [])->path;
        $this->answer([
            'cost' => round($path->cost, 4),
            'candidates' => PathFinder::CANDIDATES,
            'voicings' => array_map(
                static fn (Voicing $voicing): array => ['symbol' => $voicing->chord->text()] + VoicingResource::of($voicing, $neck),
                $path->voicings,
            ),
            'moves' => $path->moves,
        ], array_map(
            static fn (Voicing $voicing): string => sprintf('%-10s %s', $voicing->chord->text(), $voicing->text()),
            $path->voicings,
        ));
    }
}
