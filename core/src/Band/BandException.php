<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\CoreException;
use Gravik\Quote;

final class BandException extends \InvalidArgumentException implements CoreException
{
    public static function groove(string $typed, string $known): self
    {
        return new self(sprintf('"%s" is no groove we have. Choose one of %s.', Quote::short($typed), $known));
    }

    public static function grooveOf(Instrument $instrument): self
    {
        return new self($instrument->playsAGroove() ? sprintf(
            'The %s play by a groove, and none is named.',
            $instrument->value,
        ) : sprintf('A %s plays no groove.', $instrument->value));
    }

    public static function level(): self
    {
        return new self('A part\'s level runs from 0 (silent) to 1 (full), and it is placed at most 100 ms early or late.');
    }

    public static function drum(string $name): self
    {
        return new self(sprintf('"%s" is no drum of the set. A groove plays kick, rim, snare, hat, ride or shaker.', Quote::short($name)));
    }
}
