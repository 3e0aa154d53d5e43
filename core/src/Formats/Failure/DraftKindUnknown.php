<?php

declare(strict_types=1);

namespace Gravik\Formats\Failure;

use Gravik\Formats\DraftNotReadable;

final class DraftKindUnknown extends DraftNotReadable
{
    public function __construct()
    {
        parent::__construct(
            'This is no kind of file that is read here. Choose a score (.musicxml, .mxl), a chord sheet (.cho), a MIDI file, our text tab or a breakdown (.gravik.json).',
        );
    }
}
