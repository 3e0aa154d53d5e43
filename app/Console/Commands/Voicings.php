<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Http\Resources\VoicingResource;
use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\GripKind;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

final class Voicings extends CoreCommand
{
    protected $signature = 'gravik:voicings {symbol} {--tuning=standard} {--capo=0} {--strings=} {--frets=0-15} {--role=solo} {--hand=medium} {--kind=} {--limit=12} {--all} {--json}';

    protected $description = 'Grips for a chord, those that suit best first; --all lists every one within the bare rules';

    protected function compute(): void
    {
        $chord = ChordSymbol::parse($this->word('symbol'));
        $tuning = Tuning::parse($this->text('tuning'));
        $strings = $this->text('strings');
        $neck = new Neck($tuning, $this->whole('capo', 0), $strings === '' ? null : Neck::parseStrings($strings, $tuning->strings()));
        $all = $this->option('all') === true;
        $kind = $this->text('kind');
        // Every grip within the bare rules has nothing to do with whose hand it is.
        $hand = HandProfile::parse($all ? 'medium' : $this->text('hand'));
        $finder = new VoicingFinder(
            $neck,
            FretRange::parse($this->text('frets')),
            Company::parse($this->text('role')),
            $hand,
            $kind === '' ? null : GripKind::parse($kind),
        );
        if ($all) {
            $voicings = $finder->all($chord);
            $count = count($voicings);
        } else {
            $found = $finder->find($chord, max(1, $this->whole('limit', 12)));
            [$voicings, $count] = [$found->best, $found->count];
        }
        $this->answer([
            'symbol' => $chord->text(),
            'count' => $count,
            'voicings' => array_map(static fn (Voicing $voicing): array => VoicingResource::of($voicing, $neck), $voicings),
        ], [
            sprintf('%s: %d grips', $chord->text(), $count),
            ...array_map(
                static fn (Voicing $voicing): string => sprintf(
                    '%-20s %s',
                    $voicing->text(),
                    implode(' ', array_map(static fn (?string $degree): string => $degree ?? 'x', $voicing->degrees())),
                ),
                $voicings,
            ),
        ]);
    }
}
