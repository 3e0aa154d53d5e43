<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A request whose body is a recording: WAV, or MIDI when it says so. */
trait HasSoundBody
{
    /** The body as a file that goes away with the request. */
    public function sound(): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gravik-take-');
        register_shutdown_function(static fn (): bool => is_file($path) && unlink($path));
        file_put_contents($path, $this->getContent(true));

        return $path;
    }

    public function soundName(): string
    {
        return str_contains($this->headers->get('Content-Type') ?? '', 'midi') ? 'take.mid' : 'take.wav';
    }
}
