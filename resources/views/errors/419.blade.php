@include('errors.page', ['title' => 'The page is too old', 'what' => 'It was open for long and its form no longer counts. Go back, reload, and send it again.'])
