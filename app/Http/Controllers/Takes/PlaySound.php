<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Documents\SoundStore;
use App\Http\Controllers\Controller;
use App\Models\Breakdown;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class PlaySound extends Controller
{
    #[OA\Get(path: '/api/breakdowns/{id}/takes/{take}/sound', summary: 'A take as it sounded, where its player wants it kept', parameters: [
        new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
        new OA\PathParameter(name: 'take', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the recording', content: [
        new OA\MediaType(mediaType: 'audio/wav', schema: new OA\Schema(type: 'string', format: 'binary')),
    ])])]
    public function __invoke(Request $request, Breakdown $breakdown, string $take, SoundStore $sounds): BinaryFileResponse
    {
        $path = $sounds->of($breakdown->takesSeenBy($this->user($request))->findOrFail($take));

        return $path === null ? abort(404) : new BinaryFileResponse($path, 200, [
            'Content-Type' => 'audio/wav',
            'Cache-Control' => 'private, no-store',
        ]);
    }
}
