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
        // Two rounds at once, four values a turn: half as many are fetched and put back. All in local variables for speed.
        $part = 4;
        for (; $part << 2 <= $size; $part <<= 2) {
            $step = intdiv($size, $part << 2);
            for ($turn = 0; $turn < $part; $turn++) {
                $at = $turn * $step;
                $c1 = $cosine[$at];
                $s1 = $sine[$at];
                $c2 = $cosine[2 * $at];
                $s2 = $sine[2 * $at];
                $c3 = $c1 * $c2 - $s1 * $s2;
                $s3 = $s1 * $c2 + $c1 * $s2;
                for ($i = $turn; $i < $size; $i += $part << 2) {
                    $j = $i + $part;
                    $k = $j + $part;
                    $l = $k + $part;
                    $x = $re[$j] * $c2 - $im[$j] * $s2;
                    $y = $re[$j] * $s2 + $im[$j] * $c2;
                    $aRe = $re[$i] + $x;
                    $aIm = $im[$i] + $y;
                    $bRe = $re[$i] - $x;
                    $bIm = $im[$i] - $y;
                    $cRe = $re[$k] * $c1 - $im[$k] * $s1;
                    $cIm = $re[$k] * $s1 + $im[$k] * $c1;
                    $dRe = $re[$l] * $c3 - $im[$l] * $s3;
                    $dIm = $re[$l] * $s3 + $im[$l] * $c3;
                    $re[$i] = $aRe + $cRe + $dRe;
                    $im[$i] = $aIm + $cIm + $dIm;
                    $re[$k] = $aRe - $cRe - $dRe;
                    $im[$k] = $aIm - $cIm - $dIm;
                    $re[$j] = $bRe + $cIm - $dIm;
                    $im[$j] = $bIm - $cRe + $dRe;
                    $re[$l] = $bRe - $cIm + $dIm;
                    $im[$l] = $bIm + $cRe - $dRe;
                }
            }
        }
        // One round is left where the size is no power of four.
        for ($i = 0, $j = $size >> 1; $part < $size && $j < $size; $i++, $j++) {
            $c = $cosine[$i];
            $s = $sine[$i];
            $x = $re[$j] * $c - $im[$j] * $s;
            $y = $re[$j] * $s + $im[$j] * $c;
            $re[$j] = $re[$i] - $x;
            $im[$j] = $im[$i] - $y;
            $re[$i] += $x;
            $im[$i] += $y;
        }

        return [$re, $im];
    }
}
