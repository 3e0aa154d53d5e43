<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\CoreException;

final class DocumentNotReadable extends \InvalidArgumentException implements CoreException
{
    /** @param string $pointer JSON pointer to the place, "" for the whole document */
    private function __construct(string $message, public readonly string $pointer, private readonly ?string $what = null)
    {
        parent::__construct($message);
    }

    /** The same refusal, told with the place in the document as it was before it was upgraded. */
    public function before(string $pointer): self
    {
        return $this->what === null ? $this : self::at($pointer, $this->what);
    }

    public static function notJson(): self
    {
        return new self('This file is not a breakdown: it does not hold JSON. Choose a file that Gravik exported (.gravik.json).', '');
    }

    public static function otherFormat(): self
    {
        return new self(
            'This file is not a breakdown: its "format" is not "gravik-breakdown". Choose a file that Gravik exported (.gravik.json).',
            '/format',
        );
    }

    public static function noVersion(int $version): self
    {
        return new self(
            sprintf('There is no version %d of the format: versions count from 1. Export the breakdown again.', $version),
            '/version',
        );
    }

    public static function newerVersion(int $version, int $known): self
    {
        return new self(
            sprintf(
                'This breakdown was written in version %d of the format; this Gravik reads versions 1 to %d. Update Gravik to open it.',
                $version,
                $known,
            ),
            '/version',
        );
    }

    public static function at(string $pointer, string $what): self
    {
        return new self(sprintf('At %s: %s', $pointer === '' ? 'the top of the document' : $pointer, $what), $pointer, $what);
    }
}
