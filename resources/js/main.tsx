import { createRoot } from 'react-dom/client'
import 'virtual:antd.css'
import '../css/gravik.css'
import '../css/hand.css'
import '../css/passes.css'
import '../css/stand.css'
import '../css/shapes.css'
import '../css/listen.css'
import '../css/practice.css'
import '../css/band.css'
import '../css/steps.css'
import '../css/handout.css'
import '../css/school.css'
import '../css/log.css'
import '../css/practise.css'
import '../css/print.css'

// The app comes as a piece of its own: a slow machine takes it in between two answers, not in one go with React.
const root = document.getElementById('gravik')
if (root !== null) void import('./app/start').then(({ start }) => start(createRoot(root)))
