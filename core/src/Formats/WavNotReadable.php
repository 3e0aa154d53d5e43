<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;
use Gravik\Formats\Internal\WavCoding;

final class WavNotReadable extends \InvalidArgumentException implements CoreException
{
    public static function missing(string $name): self
    {
        return new self(sprintf('There is no file "%s" that can be read.', $name));
    }

    public static function notWav(string $begins): self
    {
        return new self(sprintf('This is no WAV file: it begins with "%s". Choose a recording saved as WAV.', $begins));
    }

    public static function nothing(): self
    {
        return new self('This WAV file holds no sound. Record it again, and wait until it is saved.');
    }

    public static function header(string $what): self
    {
        return new self(sprintf('The header of this WAV file cannot be right: %s. Save it anew from the program it comes from.', $what));
    }

    public static function coding(int $kind, int $bits): self
    {
        return new self(sprintf(
            'This WAV file is coded in a way that is not read here (%d, %d bits). Save it as PCM with 8, 16, 24 or 32 bits, or as 32-bit floats.',
            $kind,
            $bits,
        ));
    }

    public static function rate(int $rate): self
    {
        return new self(sprintf(
            '%d samples a second are outside what is read here. Save it with %d to %d.',
            $rate,
            WavCoding::LOWEST_RATE,
            WavCoding::HIGHEST_RATE,
        ));
    }
}
