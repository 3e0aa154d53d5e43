<?php

declare(strict_types=1);

namespace App\Http\Controllers\Takes;

use App\Documents\SoundStore;
use App\Http\Controllers\Controller;
use App\Models\Breakdown;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class ForgetSound extends Controller
{
    #[OA\Delete(path: '/api/breakdowns/{id}/takes/{take}/sound', summary: 'Have the sound of one’s own take deleted; its report stays',
        parameters: [
            new OA\PathParameter(name: 'id', schema: new OA\Schema(type: 'string')),
            new OA\PathParameter(name: 'take', schema: new OA\Schema(type: 'string')),
        ], responses: [new OA\Response(response: 204, description: 'gone')])]
    public function __invoke(Request $request, Breakdown $breakdown, string $take, SoundStore $sounds): Response
    {
        $sounds->forget($breakdown->takes()->where('player_id', $this->user($request)->id)->findOrFail($take));

        return new Response('', 204);
    }
}
