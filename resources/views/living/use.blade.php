@if ($sheet['board']['rows'] !== [] && $sheet['board']['controls'] !== [])
    <h2>Which control works which light</h2>
    <div class="wide" tabindex="0" role="region" aria-label="Which control works which light"><table>
        <tr>
            <th></th>
            @foreach ($sheet['board']['controls'] as $control)
                <th>{{ $control }}</th>
            @endforeach
        </tr>
        @foreach ($sheet['board']['rows'] as $row)
            <tr>
                <td>{{ $row['light'] }}</td>
                @foreach ($row['cells'] as $cell)
                    <td>{{ $cell }}</td>
                @endforeach
            </tr>
        @endforeach
    </table></div>
    <div class="small">With a date: tested on site. -: not possible with this kit. Empty: possible, not planned.</div>
@endif
@if ($sheet['day'] !== [] || $sheet['scenes'] !== [])
    <h2>Daily use</h2>
    <ul>
        @foreach ($sheet['day'] as $line)
            <li>{{ $line }}</li>
        @endforeach
        @foreach ($sheet['scenes'] as $scene)
            <li>Scene <b>{{ $scene['name'] }}</b>: {{ $scene['says'] }}</li>
        @endforeach
    </ul>
@endif
@if ($sheet['plays'] !== [] || $sheet['power'] !== [])
    <h2>Automation, and lights after a power cut</h2>
    <ul>
        @foreach ([...$sheet['plays'], ...$sheet['power']] as $line)
            <li>{{ $line }}</li>
        @endforeach
    </ul>
@endif
