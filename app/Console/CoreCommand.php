<?php

declare(strict_types=1);

namespace App\Console;

use Gravik\Breakdown\Breakdown;
use Gravik\CoreException;
use Gravik\Formats\Draft;
use Gravik\Formats\DraftFile;
use Gravik\Formats\TakeFile;
use Gravik\Time\Tempo;
use Illuminate\Console\Command;

/** A command that asks the core one thing: JSON or a few readable lines out, refusals to stderr with exit status 2. */
abstract class CoreCommand extends Command
{
    private const REFUSED = 2;

    private const LARGEST_FILE = 5 * 1024 * 1024;

    final public function handle(): int
    {
        try {
            $this->compute();
        } catch (CoreException|UnusableInput $refusal) {
            $this->getOutput()->getErrorStyle()->writeln($refusal->getMessage());

            return self::REFUSED;
        }

        return self::SUCCESS;
    }

    /** @throws CoreException|UnusableInput */
    abstract protected function compute(): void;

    /**
     * @param array<string, mixed> $answer
     * @param list<string>         $lines  what a person reads without --json
     */
    protected function answer(array $answer, array $lines): void
    {
        if ($this->option('json') === true) {
            $this->output->writeln(json_encode(
                $answer,
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            ));

            return;
        }
        foreach ($lines as $line) {
            $this->output->writeln($line);
        }
    }

    protected function text(string $option, string $default = ''): string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : $default;
    }

    protected function word(string $argument): string
    {
        $value = $this->argument($argument);

        return is_string($value) ? $value : '';
    }

    protected function number(string $option): ?float
    {
        $value = $this->option($option);
        if ($value === null || $value === '') {
            return null;
        }

        return is_numeric($value) ? (float) $value : throw UnusableInput::notANumber($option, is_string($value) ? $value : '');
    }

    protected function whole(string $option, int $default): int
    {
        $number = $this->number($option) ?? $default;

        return floor($number) === (float) $number ? (int) $number : throw UnusableInput::notWhole($option);
    }

    protected function tempo(): ?Tempo
    {
        $bpm = $this->number('tempo');

        return $bpm === null ? null : new Tempo($bpm);
    }

    protected function contents(string $path, int $most = self::LARGEST_FILE): string
    {
        if (! is_file($path) || ! is_readable($path)) {
            throw UnusableInput::noFile($path);
        }
        if ((int) filesize($path) > $most) {
            throw UnusableInput::tooLarge($path, $most);
        }

        return (string) file_get_contents($path);
    }

    /** A recording may be larger than other files; it is read in blocks. */
    protected function takeFile(string $path): TakeFile
    {
        if (! is_file($path) || ! is_readable($path)) {
            throw UnusableInput::noFile($path);
        }

        return TakeFile::read($path, $path);
    }

    /** A song in any format that can be read; what of it is not read is said beside the answer. */
    protected function breakdownFile(string $path): Breakdown
    {
        $draft = $this->draftFile($path);
        if ($draft->unread !== []) {
            $this->getOutput()->getErrorStyle()->writeln('Not read: '.implode('; ', $draft->unread).'.');
        }

        return $draft->breakdown;
    }

    protected function draftFile(string $path): Draft
    {
        return DraftFile::read($this->contents($path, DraftFile::MOST_BYTES), pathinfo($path, PATHINFO_FILENAME));
    }
}
