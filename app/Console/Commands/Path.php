<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Http\Resources\VoicingResource;
use Gravik\Chart\ChartLine;
use Gravik\Chart\ChartNotReadable;
use Gravik\Chart\Form;
use Gravik\Chart\FormChord;
use Gravik\Chart\Section;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\FretRange;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\PathFinder;
use Gravik\Neck\Tuning;
use Gravik\Neck\Voicing;
use Gravik\Neck\VoicingFinder;
use Gravik\Time\Meter;

final class Path extends CoreCommand
{
    protected $signature = 'gravik:path {line} {--key=C} {--meter=4/4} {--tuning=standard} {--capo=0} {--role=solo} {--hand=medium} {--window=0-15} {--keep-top} {--json}';

    protected $description = 'One grip for every chord of a line, at the least cost over the best candidates';

    protected function compute(): void
    {
        $key = Key::parse($this->text('key'));
        $meter = Meter::parse($this->text('meter'));
        $neck = new Neck(Tuning::parse($this->text('tuning')), $this->whole('capo', 0));
        $line = $this->word('line');
        $reading = (new ChartLine($key, $meter))->read($line);
        if ($reading->problems !== []) {
            throw ChartNotReadable::problem($reading->problems[0]);
        }
        $form = Form::of([new Section('line', $line)], $key, $meter);
        if ($form->chords === []) {
            throw ChartNotReadable::empty();
        }
        $finder = new VoicingFinder($neck, FretRange::parse($this->text('window')), Company::parse($this->text('role')), HandProfile::parse($this->text('hand')));
        $finderPath = new PathFinder($neck);
        $found = [];
        foreach ($form->chords as $chord) {
            $found[$chord->chord->text()] ??= $finder->find($chord->chord, PathFinder::CANDIDATES)->best;
        }
        $candidates = array_map(static fn (FormChord $chord): array => $found[$chord->chord->text()], $form->chords);
        $path = $this->option('keep-top') === true ? $finderPath->cheapestWithCommonTop($candidates) : $finderPath->cheapest($candidates);
        $this->answer([
            'cost' => round($path->cost, 4),
            'candidates' => PathFinder::CANDIDATES,
            'voicings' => array_map(static fn (Voicing $voicing): array => ['symbol' => $voicing->chord->text()] + VoicingResource::of($voicing, $neck), $path->voicings),
            'moves' => $path->moves,
        ], array_map(static fn (Voicing $voicing): string => sprintf('%-10s %s', $voicing->chord->text(), $voicing->text()), $path->voicings));
    }
}
