<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Formats\DraftFile;
use Gravik\Formats\Failure\DraftTooLarge;
use Illuminate\Foundation\Http\FormRequest;

/** A file of another program, as the body. */
final class DraftRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['name' => ['sometimes', 'nullable', 'string', 'max:200']];
    }

    /** @throws DraftTooLarge before it is read */
    public function bytes(): string
    {
        $told = (int) $this->headers->get('Content-Length', '0');
        if ($told > DraftFile::MOST_BYTES) {
            throw new DraftTooLarge($told, DraftFile::MOST_BYTES);
        }

        return $this->getContent();
    }

    /** What the file is called, without its endings. */
    public function title(): string
    {
        return (string) preg_replace('/(\.[A-Za-z0-9]{1,8})+$/', '', $this->string('name')->toString());
    }
}
