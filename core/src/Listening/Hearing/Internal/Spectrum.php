<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing\Internal;

/**
 * The fast Fourier transform of two real windows at once: one goes in as the real part, the other as the imaginary one,
 * and their spectra are parted by symmetry.
 *
 * @internal
 */
final class Spectrum
{
    /** @var list<int> */
    private array $reversed = [];

    /** @var list<float> */
    private array $cosine = [];

    /** @var list<float> */
    private array $sine = [];

    /** @var list<float> Hann's window */
    private array $window;

    /** @param int $size a power of two */
    public function __construct(public readonly int $size)
    {
        $bits = (int) log($size, 2);
        for ($i = 0; $i < $size; $i++) {
            $this->reversed[] = (int) bindec(strrev(str_pad(decbin($i), $bits, '0', STR_PAD_LEFT)));
        }
        for ($i = 0; $i < $size / 2; $i++) {
            $this->cosine[] = cos(2 * M_PI * $i / $size);
            $this->sine[] = -sin(2 * M_PI * $i / $size);
        }
        $this->window = array_map(static fn (int $i): float => 0.5 - 0.5 * cos(2 * M_PI * $i / $size), range(0, $size - 1));
    }

    /**
     * @param list<float> $first  as many samples as $size
     * @param list<float> $second the same
     *
     * @return array{array{list<float>, list<float>}, array{list<float>, list<float>}} real and imaginary parts of bins 1 to
     *                                                                                size/2 − 1 of each, through Hann's window
     */
    public function spectra(array $first, array $second): array
    {
        [$re, $im] = $this->transformed($first, $second);
        $size = $this->size;
        $oneRe = $oneIm = $twoRe = $twoIm = [];
        for ($k = 1, $half = $size >> 1; $k < $half; $k++) {
            $mirror = $size - $k;
            $oneRe[] = 0.5 * ($re[$k] + $re[$mirror]);
            $oneIm[] = 0.5 * ($im[$k] - $im[$mirror]);
            $twoRe[] = 0.5 * ($im[$k] + $im[$mirror]);
            $twoIm[] = 0.5 * ($re[$mirror] - $re[$k]);
        }

        return [[$oneRe, $oneIm], [$twoRe, $twoIm]];
    }

    /**
     * @param list<float> $first  as many samples as $size
     * @param list<float> $second the same
     *
     * @return array{list<float>, list<float>} energies of bins 1 to size/2 − 1 of each, through Hann's window
     */
    public function energies(array $first, array $second): array
    {
        $energy = static fn (float $re, float $im): float => $re * $re + $im * $im;
        [$one, $two] = $this->spectra($first, $second);

        return [array_map($energy, ...$one), array_map($energy, ...$two)];
    }

    /**
     * @param list<float> $real
     * @param list<float> $imaginary
     *
     * @return array{array<int, float>, array<int, float>}
     */
    private function transformed(array $real, array $imaginary): array
    {
        $re = [];
        $im = [];
        $window = $this->window;
        foreach ($this->reversed as $from) {
            $share = $window[$from];
            $re[] = $share * $real[$from];
            $im[] = $share * $imaginary[$from];
        }
        $size = $this->size;
        $cosine = $this->cosine;
        $sine = $this->sine;
        // The first round turns nothing, and the second only by a quarter: no products there.
        for ($i = 0; $i < $size; $i += 4) {
            $aRe = $re[$i] + $re[$i + 1];
            $aIm = $im[$i] + $im[$i + 1];
            $bRe = $re[$i] - $re[$i + 1];
            $bIm = $im[$i] - $im[$i + 1];
            $cRe = $re[$i + 2] + $re[$i + 3];
            $cIm = $im[$i + 2] + $im[$i + 3];
            $dRe = $re[$i + 2] - $re[$i + 3];
            $dIm = $im[$i + 2] - $im[$i + 3];
            $re[$i] = $aRe + $cRe;
            $im[$i] = $aIm + $cIm;
            $re[$i + 1] = $bRe + $dIm;
            $im[$i + 1] = $bIm - $dRe;
            $re[$i + 2] = $aRe - $cRe;
            $im[$i + 2] = $aIm - $cIm;
            $re[$i + 3] = $bRe - $dIm;
            $im[$i + 3] = $bIm + $dRe;
        }
        for ($half = 4, $step = $size >> 3; $half < $size; $half <<= 1, $step >>= 1) {
            for ($start = 0; $start < $size; $start += $half << 1) {
                for ($i = $start, $end = $start + $half, $turn = 0; $i < $end; $i++, $turn += $step) {
                    $j = $i + $half;
                    $c = $cosine[$turn];
                    $s = $sine[$turn];
                    $x = $re[$j] * $c - $im[$j] * $s;
                    $y = $re[$j] * $s + $im[$j] * $c;
                    $re[$j] = $re[$i] - $x;
                    $im[$j] = $im[$i] - $y;
                    $re[$i] += $x;
                    $im[$i] += $y;
                }
            }
        }

        return [$re, $im];
    }
}
