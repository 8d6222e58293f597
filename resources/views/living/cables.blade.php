@if ($cables !== [])
    <table>
        <tr>
            <th>Cable</th>
            <th>From, to</th>
            <th>Kind</th>
            <th class="right">Length</th>
            <th class="right">Current</th>
            <th class="right">Drop</th>
            <th class="right">At the strip</th></tr>
        @foreach ($cables as $cable)
            <tr>
                <td><b>{{ $cable['id'] }}</b></td>
                <td>{{ $cable['way'] }}</td>
                <td>{{ $cable['kit'] }}</td>
                <td class="right">{{ $cable['length'] }}</td>
                <td class="right">{{ $cable['amps'] }}</td>
                <td class="right">{{ $cable['drop'] }}</td>
                <td class="right">{{ $cable['volts'] }}</td></tr>
        @endforeach
    </table>
@endif
