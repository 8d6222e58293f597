@include('living.use')
@if ($sheet['losses'] !== [])
    <h2>After a loss</h2>
    <table>
        @foreach ($sheet['losses'] as $loss)
            <tr>
                <td>{{ $loss['title'] }}</td>
                <td>{{ $loss['says'] }} {{ $loss['steps'] }}</td></tr>
        @endforeach
    </table>
@endif
