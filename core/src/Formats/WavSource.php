<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Formats\Failure\NotWav;
use Gravik\Formats\Failure\WavHeaderNotPossible;
use Gravik\Formats\Failure\WavMissing;
use Gravik\Formats\Failure\WavWithoutSound;
use Gravik\Formats\Internal\WavCoding;
use Gravik\Formats\Internal\WavMix;
use Gravik\Listening\Hearing\AudioSource;
use Gravik\Quote;

/**
 * A WAV file as sound: whole numbers of 8, 16, 24 or 32 bits or floats of 32, one or more channels mixed to one. A file
 * that ends before its header says, or whose header was never finished, is read as far as it goes.
 */
final readonly class WavSource implements AudioSource
{
    private const BLOCK_FRAMES = 32768;

    private const PROBES = 12;

    private const PROBE_FRAMES = 4096;

    /** Recorders write these where they have not finished yet. */
    private const UNFINISHED = [0, 0xFFFFFFFF, 0x7FFFFFFF];

    /**
     * @param int                     $start   byte at which the samples begin
     * @param int                     $frames  how many are there
     * @param ?int                    $stated  how many the header speaks of; null where it was never finished
     * @param ?\Closure(float): mixed $reached told the share of the recording that has been read, 0 to 1
     */
    private function __construct(
        private string $path,
        private WavCoding $coding,
        private WavMix $mix,
        private int $start,
        private int $frames,
        private ?int $stated,
        private ?\Closure $reached,
    ) {}

    /**
     * @param ?\Closure(float): mixed $reached told the share of the recording that has been read, 0 to 1
     *
     * @throws WavNotReadable with what is wrong and what to do
     */
    public static function open(string $path, ?\Closure $reached = null): self
    {
        $file = is_file($path) ? fopen($path, 'rb') : false;
        if ($file === false) {
            throw new WavMissing(basename($path));
        }
        try {
            return self::read($file, $path, $reached);
        } finally {
            fclose($file);
        }
    }

    public function rate(): int
    {
        return $this->coding->rate;
    }

    public function seconds(): float
    {
        return $this->frames / $this->coding->rate;
    }

    /** What was wrong with the file, where it could be read all the same; null where nothing was. */
    public function remark(): ?string
    {
        $remarks = array_filter([
            $this->stated === null
                ? sprintf('The file’s header was never finished: all that follows it was read, %.1f seconds.', $this->seconds())
                : null,
            $this->stated !== null && $this->frames < $this->stated
                ? sprintf('The file ends early: %.1f of %.1f seconds are there.', $this->seconds(), $this->stated / $this->coding->rate)
                : null,
            $this->mix->channel !== null
                ? sprintf(
                    'Its channels cancel each other when they are mixed (one is the other upside down), so channel %d alone was heard.',
                    $this->mix->channel + 1,
                )
                : null,
        ]);

        return $remarks === [] ? null : implode(' ', $remarks);
    }

    public function blocks(): \Generator
    {
        $file = fopen($this->path, 'rb');
        if ($file === false) {
            throw new WavMissing(basename($this->path));
        }
        try {
            fseek($file, $this->start);
            for ($left = $this->frames; $left > 0; $left -= self::BLOCK_FRAMES) {
                $data = fread($file, max(1, min($left, self::BLOCK_FRAMES) * $this->coding->frameBytes()));
                if ($data === false || $data === '') {
                    return;
                }
                yield $this->mix->mixed($this->coding->decoded($data), $this->coding->channels);
                if ($this->reached !== null) {
                    ($this->reached)(1 - max(0, $left - self::BLOCK_FRAMES) / $this->frames);
                }
            }
        } finally {
            fclose($file);
        }
    }

    /**
     * @param resource                $file
     * @param ?\Closure(float): mixed $reached
     */
    private static function read($file, string $path, ?\Closure $reached): self
    {
        $head = (string) fread($file, 12);
        if (strlen($head) < 12 || ! str_starts_with($head, 'RIFF') || substr($head, 8, 4) !== 'WAVE') {
            throw $head === '' ? new WavWithoutSound() : new NotWav(Quote::short(self::printable(substr($head, 0, 8))));
        }
        $size = fstat($file)['size'] ?? 0;
        $coding = null;
        while (strlen($chunk = (string) fread($file, 8)) === 8) {
            /** @var array{name: string, size: int} $about */
            $about = unpack('a4name/Vsize', $chunk);
            $from = (int) ftell($file);
            if ($about['name'] === 'data') {
                $coding ?? throw new WavHeaderNotPossible('its format comes after its sound');
                $there = max(0, $size - $from);
                $stated = in_array($about['size'], self::UNFINISHED, true) ? null : $about['size'];
                $frames = intdiv(min($stated ?? $there, $there), $coding->frameBytes());
                if ($frames === 0) {
                    throw new WavWithoutSound();
                }

                return new self(
                    $path,
                    $coding,
                    self::mix($file, $coding, $from, $frames),
                    $from,
                    $frames,
                    $stated === null ? null : intdiv($stated, $coding->frameBytes()),
                    $reached,
                );
            }
            if ($from + $about['size'] > $size) {
                throw new WavHeaderNotPossible(sprintf(
                    'its part “%s” claims %d bytes, and only %d follow',
                    Quote::short(self::printable($about['name'])),
                    $about['size'],
                    $size - $from,
                ));
            }
            if ($about['name'] === 'fmt ') {
                $coding = WavCoding::read((string) fread($file, max(1, min(64, $about['size']))));
            }
            fseek($file, $from + $about['size'] + $about['size'] % 2);
        }
        throw new WavWithoutSound();
    }

    /** @param resource $file */
    private static function mix($file, WavCoding $coding, int $start, int $frames): WavMix
    {
        $probes = [];
        foreach (range(0, self::PROBES - 1) as $probe) {
            fseek($file, $start + intdiv($frames * $probe, self::PROBES) * $coding->frameBytes());
            $probes[] = $coding->decoded((string) fread($file, max(1, min($frames, self::PROBE_FRAMES) * $coding->frameBytes())));
        }

        return WavMix::of($probes, $coding->channels);
    }

    private static function printable(string $bytes): string
    {
        return preg_replace('/[^\x20-\x7e]/', '?', $bytes) ?? '';
    }
}
