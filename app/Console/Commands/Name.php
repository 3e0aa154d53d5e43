<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\CoreCommand;
use App\Http\Resources\ChordNameResource;
use Gravik\Harmony\ChordName;
use Gravik\Harmony\Key;
use Gravik\Neck\Grip\GripNamer;
use Gravik\Neck\Neck;
use Gravik\Neck\Tuning;

final class Name extends CoreCommand
{
    protected $signature = 'gravik:name {grip} {--key=} {--tuning=standard} {--capo=0} {--json}';

    protected $description = 'Every name a grip can have, such as "x 7 8 7 8 x", those that fit the key first';

    protected function compute(): void
    {
        $tuning = Tuning::parse($this->text('tuning'));
        $namer = new GripNamer(
            new Neck($tuning, $this->whole('capo', 0)),
            $this->text('key') === '' ? null : Key::parse($this->text('key')),
        );
        $names = $namer->names(GripNamer::parse($this->word('grip'), $tuning->strings()));
        $this->answer(['names' => array_map(ChordNameResource::of(...), $names)], $names === []
            ? ['No chord has just these notes.']
            : array_map(static fn (ChordName $name): string => sprintf('%-12s %s', $name->chord->text(), $name->why), $names));
    }
}
